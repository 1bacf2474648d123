import type { Joint } from './joint';
import type { FastenerFacts } from './fastener-facts';
import type { FigureDetail } from './joint-detail';

/** What of a fastener is of this very one, and of no other like it: what its nut was measured to turn with, too. */
const unknownHere = <
  Facts extends Pick<
    FastenerFacts,
    'socket' | 'takenBeyondYield' | 'platedUnbaked' | 'prevailingLow_Nm' | 'prevailingHigh_Nm'
  >,
>(
  facts: Facts,
): Facts => ({
  ...facts,
  socket: 'not-tried',
  takenBeyondYield: null,
  platedUnbaked: null,
  prevailingLow_Nm: null,
  prevailingHigh_Nm: null,
});

/** Of a casting, whether somebody wound an insert into it is said of that one alone. */
const NO_INSERT_SAID = { insert: null, insertLength_mm: null, insertLow_Nm: null, insertHigh_Nm: null } as const;

const figureForSister = <Detail extends FigureDetail>(detail: Detail): Detail => ({
  ...detail,
  original: unknownHere(detail.original),
  today: detail.today && { ...unknownHere(detail.today), faceMeasured: false },
  parent: { ...detail.parent, ...NO_INSERT_SAID },
  overrides: {},
  leafReason: null,
  overLeafId: null,
  changeMeans: null,
  leftUnknown: [],
  slope: null,
});

interface Into {
  readonly id: string;
  readonly engineId: string;
  readonly createdAt: string;
  /** The ids of entries that were copied, by what they were copied from. */
  readonly leafIds: ReadonlyMap<string, string>;
}

/**
 * A joint as it goes to a sister engine: what the designer gave it goes along; what was found, measured or said of the
 * very fasteners and holes here is not known there. Undefined where its entry does not come along.
 */
export function jointForSister(joint: Joint, { id, engineId, createdAt, leafIds }: Into): Joint | undefined {
  const leafId = leafIds.get(joint.leafId);
  if (leafId === undefined || joint.detail.kinds.some(({ fields }) => !leafIds.has(fields.leafId))) return undefined;
  const { detail } = joint;
  return {
    ...joint,
    id,
    engineId,
    leafId,
    bearingMeasured: false,
    detail: {
      ...detail,
      ...figureForSister(detail),
      kinds: detail.kinds.map((kind) => ({
        ...kind,
        fields: {
          ...kind.fields,
          leafId: leafIds.get(kind.fields.leafId) ?? kind.fields.leafId,
          bearingMeasured: false,
        },
        detail: figureForSister(kind.detail),
      })),
      holes: [],
      newAfter: null,
      gasketSays: 'unread',
      alsoLeaves: detail.alsoLeaves.flatMap((one) => leafIds.get(one) ?? []),
    },
    version: 1,
    createdAt,
  };
}
