import type { Metadata } from 'next';
import { RailOfShop } from '../../rail-of-shop';
import { ReadInScreen } from '@/features/record/read-in-screen';

export const metadata: Metadata = { title: 'A build read in' };

export default function ReadInPage() {
  return (
    <>
      <RailOfShop />
      <ReadInScreen />
    </>
  );
}
