import type { Group } from './groups';
import { amountOf } from './amounts';
import { closingNotes, printNote, unreadable, type PrintNoteCode } from './notes';
import type { Limit } from './phrases';
import type { TorquePrintUnit } from './torque-print-units';

type TorqueGroup = Group<TorquePrintUnit>;

type TurnUnit = Extract<TorquePrintUnit, { kind: 'turn' }>;

export const isTurn = (group: TorqueGroup | undefined): boolean => group?.unit?.kind === 'turn';

/** The degrees of one of a unit: of something square a flat is a quarter of a turn. */
export const degreesOf = ({ flat, degrees }: TurnUnit, square: boolean): number => (flat && square ? 90 : degrees);

/**
 * Reads a part of a turn, in degrees; `square` where a flat is a quarter of it.
 * @throws DomainError unreadable
 */
export function readTurn(groups: readonly TorqueGroup[], limits: ReadonlySet<Limit>, square: boolean) {
  const [group] = groups as [TorqueGroup];
  if (groups.length > 1 && !isSaidTwice(groups, square))
    throw unreadable('The page prints more than one turn. Enter each as an entry of its own.');
  const degrees = degreesOf(group.unit as TurnUnit, square);
  const amount = amountOf(group, 'decimal');
  const codes: PrintNoteCode[] = [
    ...(group.numbers.some((n) => n.comma) ? ['decimal-comma' as const] : []),
    ...(group.numbers.some((n) => n.fraction) ? ['fraction' as const] : []),
    ...closingNotes(limits, amount.reversed, amount.max / amount.min),
  ];
  return { min_deg: amount.min * degrees, max_deg: amount.max * degrees, notes: codes.map((code) => printNote(code)) };
}

/** `120° (2 flats)`: one turn, said twice. */
function isSaidTwice(groups: readonly TorqueGroup[], square: boolean): boolean {
  const [first, second] = groups.map((group) =>
    group.unit?.kind === 'turn' ? amountOf(group, 'decimal').max * degreesOf(group.unit, square) : Number.NaN,
  ) as [number, number];
  return groups.length === 2 && groups[1]?.joiners.has('apart') === true && Math.abs(first / second - 1) < 0.02;
}

/** How pages say that it is turned back: no angle to be pulled. */
const TURNED_BACK =
  /(?<![\p{L}])(?:back(?:ed|ing|wards?)?|slack(?:en\p{L}*|ed)?|loosen\p{L}*|undo|undone|unscrew\p{L}*|releas\p{L}*|eas(?:e|ed) off|(?:anti|counter)-?\s?clockwise|zurück\p{L}*|lös\p{L}*|lose|locker\p{L}*|desserr\p{L}*|dévis\p{L}*|desviss\p{L}*|allent\p{L}*|svit\p{L}*|afloj\p{L}*|afloja|desapert\p{L}*|lossa\p{L}*|lossen|losdraai\p{L}*|terug\p{L}*|povol\p{L}*|løsn\p{L}*|tilbage)(?![\p{L}])/u;

/** @throws DomainError unreadable where a turn is one back */
export function assertForward(text: string, groups: readonly TorqueGroup[]): void {
  if (groups.some(isTurn) && TURNED_BACK.test(text.toLowerCase()))
    throw unreadable(
      'The page turns it back. Enter the figure that it is left at, and what is turned back as a note of its own.',
    );
}
