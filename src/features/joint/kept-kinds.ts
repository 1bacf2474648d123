import { DomainError } from '@/core/units';
import { torqueLeaves } from '@/model/book/leaves-of-joint';
import { againstLeaf } from '@/model/book/page-guards';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { Joint } from '@/model/joint/joint';
import { kindAmong } from '@/model/joint/kind-places';
import type { FastenerKind } from '@/model/joint/joint-detail';
import type { Shelves } from '@/model/shelf/shelves';
import { originalFilmReason } from './film-reason';

/**
 * The kinds of a joint as they are kept: each from an entry of this engine's book that gives a torque, with the reason
 * for its lubricant, and with the entry that its own reason was written over.
 * @throws DomainError not-found
 */
export function keptKinds(
  before: Joint,
  kinds: readonly FastenerKind[],
  { engine, leaves, sources }: Pick<EngineRows, 'engine' | 'leaves' | 'sources'>,
  { practice }: Pick<Shelves, 'practice'>,
): readonly FastenerKind[] {
  return kinds.map((kind) => {
    const { leafId, originalFilm } = kind.fields;
    const leaf = torqueLeaves(leaves).find(({ id }) => id === leafId);
    if (!leaf)
      throw new DomainError('not-found', `The entry of “${kind.name}” gives no torque in this engine’s book.`, 'kinds');
    const known = kindAmong(before.detail.kinds, kind);
    const { leafReason } = kind.detail;
    const isKept = known?.fields.leafId === leafId && known.detail.leafReason === leafReason;
    const overLeafId =
      leafReason === null
        ? null
        : isKept
          ? known.detail.overLeafId
          : againstLeaf(engine, leaves, sources, leaf).governingId;
    return {
      ...kind,
      fields: {
        ...kind.fields,
        originalFilmReason: kind.detail.standard
          ? kind.fields.originalFilmReason
          : originalFilmReason(leaf.conditionText, originalFilm, practice),
      },
      detail: { ...kind.detail, overLeafId },
    };
  });
}
