import type { Metadata } from 'next';
import { InstrumentsScreen } from '@/features/instruments/instruments-screen';

export const metadata: Metadata = { title: 'Instruments' };

export default function InstrumentsPage() {
  return <InstrumentsScreen />;
}
