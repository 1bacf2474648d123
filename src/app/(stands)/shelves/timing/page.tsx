import type { Metadata } from 'next';
import { TimingReckoner } from '@/features/reckon/timing-reckoner';
import { Screen } from '@/interface/parts/screen';

export const metadata: Metadata = { title: 'Timing' };

export default function TimingPage() {
  return (
    <Screen
      plain
      title="Timing"
      lead="Degrees, drop, top by a stop, valve times, a rim. Reckoned as it is typed; nothing is kept."
    >
      <TimingReckoner />
    </Screen>
  );
}
