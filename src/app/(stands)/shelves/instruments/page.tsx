import { InstrumentsScreen } from '@/features/instruments/instruments-screen';

export default function InstrumentsPage() {
  return <InstrumentsScreen />;
}
