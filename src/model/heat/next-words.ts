import type { NextRetorque, StageAsk } from '@/core/heat';

const UNIT = { mi: 'miles', km: 'km' } as const;
const inUnits = (value: number) => Math.floor(value + 1e-6).toLocaleString('en-GB');

function askWords({ what, of, done, unit, unsaidRuns = 0 }: StageAsk): string | undefined {
  if (what === 'days') return undefined;
  const asked = of.toLocaleString('en-GB');
  if (what === 'cycles') return `after ${asked} ${of === 1 ? 'heat' : 'heats'}, ${done ?? 0} so far`;
  const [named, meter] = what === 'hours' ? ['hours', 'hour meter'] : [UNIT[unit ?? 'km'], 'odometer'];
  if (done === undefined)
    return `at ${asked} ${named}; how far it is, is not known: read the ${meter} and say what it was when this was tightened`;
  const unsaid = unsaidRuns > 0 ? ` and ${unsaidRuns} ${unsaidRuns === 1 ? 'run' : 'runs'} of unknown length` : '';
  return `at ${asked} ${named}, ${what === 'hours' ? done.toFixed(1) : inUnits(done)} so far${unsaid}`;
}

/** Whether a part of what is asked for cannot be told. */
export const isUnknown = ({ asks }: NextRetorque): boolean =>
  asks.some(({ what, done, unsaidRuns = 0 }) => what !== 'days' && (done === undefined || unsaidRuns > 0));

/** What the rule asks for next, but for its day: `again at 300 miles, 212 so far`. */
export function nextWords(next: NextRetorque): string {
  const again = next.stage === 0 ? 'first' : 'again';
  if (next.isReached)
    return next.stage === 0
      ? 'due by its rule; it waits for a heat cycle, as none was logged since it was tightened'
      : 'due again by its rule; it waits for a heat cycle, as none was logged since it was last gone over';
  const days = next.asks.find(({ what }) => what === 'days');
  const words = [
    ...next.asks.flatMap((ask) => askWords(ask) ?? []),
    // Of one that is hot its day is told.
    ...(days && !next.isHot ? [`${days.of} days after it was tightened, once it has been hot`] : []),
  ];
  return [again, words.join(' or ')].filter((part) => part !== '').join(' ');
}
