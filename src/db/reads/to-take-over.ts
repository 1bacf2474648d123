import type { Joint } from '@/model/joint/joint';
import type { Leaf } from '@/model/book/leaf';
import { notAside } from '../repositories/aside-repository';
import type { Shop } from '../shop';

/** An entry of another engine’s book, with the title of its source. */
export type OfferedLeaf = Pick<Leaf, 'id' | 'sourceId' | 'page' | 'subject' | 'printedText' | 'conditionText'> & {
  readonly source: string;
};

export type OfferedJoint = Pick<Joint, 'id' | 'name' | 'leafId' | 'fasteners' | 'thread'>;

const OFFERED = `SELECT 'leaf' AS what, json_object('id', leaf.id, 'sourceId', source_id, 'page', page, 'subject', subject,
    'printedText', printed_text, 'conditionText', condition_text, 'source', source.title) AS body, leaf.created_at AS at
    FROM leaf JOIN source ON source.id = source_id WHERE leaf.engine_id = @engineId AND ${notAside('leaf')}
      AND NOT EXISTS (SELECT 1 FROM leaf AS later WHERE later.replaces_id = leaf.id)
  UNION ALL SELECT 'joint', json_object('id', joint.id, 'name', name, 'leafId', leaf_id, 'fasteners', fasteners,
    'thread', thread), created_at FROM joint WHERE engine_id = @engineId AND ${notAside('joint')}
  ORDER BY at`;

/** What another engine has that a sister may take over, in one query. */
export function toTakeOver(
  { db }: Shop,
  engineId: string,
): { readonly leaves: readonly OfferedLeaf[]; readonly joints: readonly OfferedJoint[] } {
  const rows = db.prepare<{ engineId: string }, { what: string; body: string }>(OFFERED).all({ engineId });
  const of = <T>(wanted: string) => rows.filter(({ what }) => what === wanted).map(({ body }) => JSON.parse(body) as T);
  return { leaves: of<OfferedLeaf>('leaf'), joints: of<OfferedJoint>('joint') };
}
