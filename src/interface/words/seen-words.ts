import { STOOD, type Stood } from '@/core/heat';
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

/** How an engine is left to cool. */
export const STOOD_CHOICES = choices(STOOD, {
  'closed-shed': 'In a closed shed',
  'open-air': 'In the open, or with doors open',
  fan: 'Before a fan',
});

/** `in a closed shed` */
export function stoodWords(stood: Stood): string {
  const label = STOOD_CHOICES.find(({ value }) => value === stood)?.label ?? stood;
  return label.charAt(0).toLowerCase() + label.slice(1);
}
