import { assertTurn, patternPositions, rowTurn, type Position, type TurnSchool } from '@/core/tightening';
import { DomainError, atField } from '@/core/units';
import { assertHolesPlaced } from './hole';
import type { Joint } from './joint';
import { assertKindsPlaced } from './kind-places';
import { assertNotesPlaced } from './place-note';

type Shaped = Pick<Joint, 'pattern' | 'fasteners' | 'detail'>;

/** Where the fasteners of a joint lie, for drawing and for the turn. @throws DomainError bad-field */
export const positionsOf = ({ pattern, fasteners, detail }: Shaped): readonly Position[] =>
  patternPositions(pattern, fasteners, detail.places ?? []);

/** Fasteners that come down together: the two of a cap. */
export const perGroupOf = ({ pattern }: Pick<Joint, 'pattern'>): number => (pattern === 'caps' ? 2 : 1);

/** What a plan takes of the shape of a joint. @throws DomainError bad-field */
export const shapeOfPlan = (
  joint: Shaped & Pick<Joint, 'orderSchool'>,
): {
  readonly positions: readonly Position[];
  readonly school: TurnSchool;
  readonly turn: readonly number[];
  readonly perGroup: number;
  readonly first?: number;
} => ({
  positions: positionsOf(joint),
  school: joint.orderSchool,
  turn: joint.detail.turn ?? [],
  perGroup: perGroupOf(joint),
  ...(joint.pattern === 'caps' && joint.detail.firstCap !== null && { first: joint.detail.firstCap - 1 }),
});

/** The same text for joints whose fasteners are as many and lie alike. */
export const keyOfShape = ({ pattern, fasteners, detail }: Shaped): string =>
  JSON.stringify([pattern, fasteners, detail.places]);

export const isSameShape = (one: Shaped, other: Shaped): boolean => keyOfShape(one) === keyOfShape(other);

/**
 * Refuses a joint whose places, order and notes do not go together. The sheet, a build file and taking an act back all
 * ask here. An order that is kept is whole even while another is in force: it may be taken again.
 * @throws DomainError bad-field, bad-turn
 */
export function assertShape(joint: Shaped & Pick<Joint, 'orderSchool'>): void {
  atField('fasteners', () => positionsOf(joint));
  const { turn } = joint.detail;
  if (turn !== null || joint.orderSchool === 'as-printed')
    atField('turn', () => assertTurn(turn ?? [], joint.fasteners));
  const { firstCap } = joint.detail;
  if (joint.pattern === 'caps' && firstCap !== null && firstCap > joint.fasteners / 2)
    throw new DomainError(
      'bad-field',
      `There are ${joint.fasteners / 2} caps, and ${firstCap} is to go first.`,
      'firstCap',
    );
  assertNotesPlaced(joint);
  assertHolesPlaced(joint);
  assertKindsPlaced(joint);
}

/** The turn of a joint whose stages nobody knows. @throws DomainError bad-field, bad-turn */
export const turnOf = (joint: Shaped & Pick<Joint, 'orderSchool'>): readonly number[] => rowTurn(shapeOfPlan(joint));

/** Whether, and where, the shaft is turned between stages. */
export const shaftOf = ({
  turnShaft,
  rangeSchool,
}: Pick<Joint, 'turnShaft' | 'rangeSchool'>): boolean | 'before-last' =>
  turnShaft || (rangeSchool === 'bottom-then-middle' ? 'before-last' : false);
