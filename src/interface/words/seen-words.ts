import { SIGNS, type SeenAtRun } from '@/model/heat/heat-log';
import { choices } from './choices';

/** What may be seen at a run, as it is ticked. */
export const SIGN_CHOICES = choices(SIGNS, {
  leak: 'A leak',
  noise: 'A noise',
  smoke: 'Smoke',
  pressure: 'Oil pressure low, or late',
  overheated: 'Too hot',
  'no-fire': 'It would not fire, or not run',
  other: 'Something else',
});

/** `a leak: at the left corner` */
export function seenWords({ sign, words }: SeenAtRun): string {
  const label = SIGN_CHOICES.find(({ value }) => value === sign)?.label ?? sign;
  const named = label.charAt(0).toLowerCase() + label.slice(1);
  return words === '' ? named : `${named}: ${words}`;
}
