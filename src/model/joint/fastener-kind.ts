import { DomainError, isDomainError } from '@/core/units';
import type { FigureFields } from './figure-fields';
import type { Joint } from './joint';
import { PLAIN_DETAIL, type FastenerKind, type FigureDetail } from './joint-detail';
import { positionsOf } from './joint-shape';
import { tryCore } from '../try-core';
import type { JointInputs } from './joint-inputs';

export const FIGURE_FIELDS = Object.keys({
  leafId: true,
  thread: true,
  bearingOuter_mm: true,
  bearingInner_mm: true,
  bearingMeasured: true,
  originalFilm: true,
  originalFilmReason: true,
  todayFilm: true,
  rangeSchool: true,
  stageScheme: true,
  wrenchId: true,
} satisfies Record<keyof FigureFields, true>) as readonly (keyof FigureFields)[];

export const FIGURE_DETAIL = Object.keys({
  original: true,
  today: true,
  headFilm: true,
  parent: true,
  maker: true,
  adaptor: true,
  overrides: true,
  wrenchByHand: true,
  confirming: true,
  leafReason: true,
  overLeafId: true,
  changeMeans: true,
  leftUnknown: true,
  slope: true,
  standard: true,
} satisfies Record<keyof FigureDetail, true>) as readonly (keyof FigureDetail)[];

const picked = <From extends object, Key extends keyof From>(from: From, keys: readonly Key[]): Pick<From, Key> =>
  Object.fromEntries(keys.map((key) => [key, from[key]])) as Pick<From, Key>;

/** A kind as it begins: everything as the joint has it, until it is said otherwise. */
export const newKind = (
  joint: FigureFields & { readonly detail: FigureDetail },
  name: string,
  places: readonly number[],
): FastenerKind => ({
  name,
  places,
  fields: picked(joint, FIGURE_FIELDS),
  // What was answered of the joint's own fasteners is not answered of others.
  detail: { ...picked(joint.detail, FIGURE_DETAIL), changeMeans: null, leftUnknown: [], slope: null },
});

/** A turn of some of the places, which then count from 0. */
const turnAmong = (turn: readonly number[] | null, places: readonly number[]): readonly number[] | null =>
  turn && turn.flatMap((place) => (places.includes(place) ? [places.indexOf(place)] : []));

/**
 * A kind that has another thread than what it was made of: what was found, measured or decided of those fasteners is
 * not known of these.
 */
export function ofOtherThread(
  kind: FastenerKind,
  thread: string,
  face: { readonly outer_mm: number; readonly inner_mm: number },
): FastenerKind {
  const { original, parent } = kind.detail;
  const { metal, underHead, hottest_C, nearHeat, boreMoves } = parent;
  return {
    ...kind,
    fields: {
      ...kind.fields,
      thread,
      bearingOuter_mm: face.outer_mm,
      bearingInner_mm: face.inner_mm,
      bearingMeasured: false,
    },
    detail: {
      ...kind.detail,
      original: { ...PLAIN_DETAIL.original, form: original.form, locking: original.locking },
      today: null,
      maker: null,
      overrides: {},
      slope: null,
      parent: { ...PLAIN_DETAIL.parent, metal, underHead, hottest_C, nearHeat, boreMoves },
    },
  };
}

/** A kind whose figure is from another entry: what was decided of that figure is not decided of this one. */
export const ofOtherLeaf = (kind: FastenerKind, leafId: string, originalFilm: string): FastenerKind => ({
  ...kind,
  fields: { ...kind.fields, leafId, originalFilm },
  detail: { ...kind.detail, leafReason: null, overLeafId: null, maker: null, overrides: {}, standard: null },
});

/** The fasteners of one kind as a joint of their own, to be reckoned and judged like any other. */
export function jointOfKind(joint: Joint, kind: FastenerKind): Joint {
  const positions = positionsOf(joint);
  const places = kind.places.flatMap((place) => (positions[place] ? [positions[place]] : []));
  return {
    ...joint,
    ...kind.fields,
    name: `${joint.name}, ${kind.name}`,
    pattern: 'free',
    fasteners: places.length,
    detail: {
      ...joint.detail,
      ...kind.detail,
      places,
      turn: turnAmong(joint.detail.turn, kind.places),
      placeNotes: [],
      holes: [],
      alsoLeaves: [],
      kinds: [],
      kindSequence: [],
    },
  };
}

/** The joint with one of its kinds altered as if it were a joint of its own; what is the whole joint's stays. */
export const withKind = (
  { kinds }: Pick<Joint['detail'], 'kinds'>,
  at: number,
  change: Partial<Joint>,
  detail: Partial<FigureDetail>,
): readonly FastenerKind[] =>
  kinds.map((kind, i) =>
    i === at
      ? {
          ...kind,
          fields: { ...kind.fields, ...picked({ ...kind.fields, ...change }, FIGURE_FIELDS) },
          detail: { ...kind.detail, ...picked({ ...kind.detail, ...detail }, FIGURE_DETAIL) },
        }
      : kind,
  );

export interface KindInputs {
  readonly kind: FastenerKind;
  readonly inputs: JointInputs;
}

/** Every kind of a joint with what its figure is made from. @throws DomainError not-found */
export const inputsOfKinds = ({ kindLeaves, ...setting }: JointInputs): readonly KindInputs[] =>
  setting.joint.detail.kinds.map((kind) => {
    const found = kindLeaves.find(({ leaf }) => leaf.id === kind.fields.leafId);
    if (!found) throw new DomainError('not-found', `The entry that “${kind.name}” is made from is missing.`, 'kinds');
    return { kind, inputs: { ...setting, ...found, joint: jointOfKind(setting.joint, kind), kindLeaves: [] } };
  });

/** The entries that a joint is made from: its own first, then those of its kinds. */
export const leafIdsOf = ({ leafId, detail: { kinds } }: Pick<Joint, 'leafId' | 'detail'>): readonly string[] => [
  leafId,
  ...kinds.map(({ fields }) => fields.leafId),
];

/** The wrenches that a joint names: its own first, then those of its kinds. */
export const wrenchIdsOf = ({ wrenchId, detail: { kinds } }: Pick<Joint, 'wrenchId' | 'detail'>): readonly string[] => [
  wrenchId,
  ...kinds.map(({ fields }) => fields.wrenchId),
];

/** Runs what concerns one kind; what it throws says of which. @throws DomainError */
export function ofKind<T>({ name }: Pick<FastenerKind, 'name'>, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (isDomainError(error)) throw new DomainError(error.code, `${name}: ${error.message}`, 'kinds');
    throw error;
  }
}

/**
 * The figures of a joint one by one: its own under '', then each kind's by its name. A kind whose entry is gone is left
 * out, and takes no other with it.
 */
export function inputsByName(setting: JointInputs): readonly { readonly name: string; readonly inputs: JointInputs }[] {
  const kinds = setting.joint.detail.kinds.flatMap((kind) => {
    const { joint } = setting;
    const alone = { ...setting, joint: { ...joint, detail: { ...joint.detail, kinds: [kind] } } };
    const found = tryCore(() => inputsOfKinds(alone));
    return found.ok ? found.result.map(({ inputs }) => ({ name: kind.name, inputs })) : [];
  });
  return [{ name: '', inputs: setting }, ...kinds];
}
