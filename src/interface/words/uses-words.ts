import type { Purpose } from '@/model/joint/tightening';
import { timesWords, type Uses } from '@/model/joint/uses';

const FOR: Readonly<Record<Purpose, string>> = {
  sizing: 'for sizing',
  measuring: 'for measuring',
  strip: 'for the strip',
  trial: 'for trial',
  final: 'for good',
  retorque: 'after heat',
};

/** `Pulled 3 times so far: twice for the strip, once for good.` */
export function usesWords({ count, purposes }: Uses): string {
  if (count === 0) return 'New, and not pulled yet.';
  const [only] = purposes;
  if (purposes.length === 1 && only) return `Pulled ${timesWords(count)} so far, ${FOR[only.purpose]}.`;
  const each = purposes.map(({ purpose, times }) => `${timesWords(times)} ${FOR[purpose]}`);
  return `Pulled ${timesWords(count)} so far: ${each.join(', ')}.`;
}
