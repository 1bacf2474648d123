import type { Metadata } from 'next';
import { CopiesScreen } from '@/features/copies/copies-screen';
import { keptCopies } from '@/server/copies';

export const metadata: Metadata = { title: 'Copies of the shop' };
export const dynamic = 'force-dynamic';

/** Asks nothing of the shop's own file: it is for when that cannot be used. */
export default function CopiesPage() {
  return <CopiesScreen copies={keptCopies()} />;
}
