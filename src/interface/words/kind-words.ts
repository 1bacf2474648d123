import type { KindTurn } from '@/core/tightening';
import type { Choice } from './choices';

const LETTERS = 'ABCDEFGHI';

/** The letter of a kind on drawings and in an order that is typed: A are the joint’s own, B the first of its kinds. */
export const kindLetter = (at: number): string => LETTERS[at] ?? '?';

/** By place, the letter of its kind; none where all are alike. */
export const lettersOf = (
  count: number,
  kinds: readonly { readonly places: readonly number[] }[] = [],
): readonly string[] | undefined =>
  kinds.length === 0
    ? undefined
    : Array.from({ length: count }, (_, place) =>
        kindLetter(kinds.findIndex(({ places }) => places.includes(place)) + 1),
      );

/** The order of kinds as it is typed, `A B A B`; the first letter that is none of them is refused by its name. */
export function readKindSequence(text: string, kinds: number): readonly number[] | { readonly unread: string } {
  const typed = text.toUpperCase().match(/[^\s,;.\-–→>]/g) ?? [];
  const unread = typed.find((letter) => !LETTERS.slice(0, kinds).includes(letter));
  return unread === undefined ? typed.map((letter) => LETTERS.indexOf(letter)) : { unread };
}

export const kindSequenceText = (sequence: readonly number[]): string => sequence.map(kindLetter).join(' ');

export const KIND_TURN_CHOICES: readonly (Choice<KindTurn> & { readonly why: string })[] = [
  {
    value: 'by-stage',
    label: 'stage by stage, kind after kind',
    why: 'All kinds come up together, so that the part goes down level; the wrench is changed once a stage.',
  },
  {
    value: 'one-turn',
    label: 'stage by stage, in one turn',
    why: 'One turn over all of them, the middle first whatever its kind; the wrench is changed as it comes.',
  },
  {
    value: 'as-typed',
    label: 'as typed or printed',
    why: 'The stages of one kind between those of another, as the page has them.',
  },
];
