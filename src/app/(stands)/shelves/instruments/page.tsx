import { InstrumentsSheet } from '@/features/instruments/instruments-sheet';

export default function InstrumentsPage() {
  return <InstrumentsSheet />;
}
