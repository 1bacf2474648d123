import { DomainError } from '@/core/units';

const listed = (places: readonly number[]) => places.map((place) => place + 1).join(', ');

/**
 * Refuses a turn in which a place is missing or comes twice.
 * @param turn places counted from 0
 * @throws DomainError bad-turn
 */
export function assertTurn(turn: readonly number[], count: number): void {
  const refuse = (message: string): never => {
    throw new DomainError('bad-turn', message, 'turn');
  };
  const foreign = turn.filter((place) => !Number.isInteger(place) || place < 0 || place >= count);
  if (foreign.length > 0) refuse(`There is no place ${listed(foreign)}: they count from 1 to ${count}.`);
  const twice = [...new Set(turn.filter((place, i) => turn.indexOf(place) !== i))];
  if (twice.length > 0) refuse(`Place ${listed(twice)} comes more than once.`);
  const missing = Array.from({ length: count }, (_, place) => place).filter((place) => !turn.includes(place));
  if (missing.length > 0) refuse(`Place ${listed(missing)} is missing from it.`);
}

/**
 * The turn as a book prints it, place after place with anything but words between: `1-3-5, 2-4-6`.
 * @returns places counted from 0
 * @throws DomainError unreadable, bad-turn
 */
export function readTurn(text: string, count: number): readonly number[] {
  const other = /[^\d\s,;:.\-–—/→>()]+/.exec(text);
  if (other)
    throw new DomainError('unreadable', `“${other[0]}” is no place: write their numbers, as in 1-3-5, 2-4-6.`, 'turn');
  const turn = (text.match(/\d+/g) ?? []).map((number) => Number(number) - 1);
  assertTurn(turn, count);
  return turn;
}

/** A turn as it is written. */
export const turnText = (turn: readonly number[]): string => turn.map((place) => place + 1).join(' ');
