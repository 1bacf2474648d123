'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { currentLeaves } from '@/model/book/current-leaves';
import type { EngineRows } from '@/model/engine/engine-rows';
import { leafIdsOf } from '@/model/joint/fastener-kind';
import { jointForSister } from '@/model/joint/joint-for-sister';
import { engineRowsNow } from '@/server/engine-now';
import { shopAction, type Bench } from '@/server/shop-action';
import { hasJointNamed, sameEntry } from './queries';
import { takeOverSchema } from './schema';

const counted = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** Copies entries that are not here yet, with their sources; answers with the id of each here. */
function copyLeaves({ shop, nowIso }: Bench, into: EngineRows, from: EngineRows, wanted: ReadonlySet<string>) {
  const same = sameEntry(into.leaves);
  const ids = new Map<string, string>();
  let copied = 0;
  for (const leaf of currentLeaves(from.leaves).filter(({ id }) => wanted.has(id))) {
    const here = same(leaf);
    const id = here?.id ?? nanoid(10);
    ids.set(leaf.id, id);
    if (here) continue;
    shop.book.linkSource(into.engine.id, leaf.sourceId);
    shop.book.addLeaf({
      ...leaf,
      id,
      engineId: into.engine.id,
      replacesId: null,
      who: undefined,
      createdAt: nowIso,
    });
    copied += 1;
  }
  return { ids, copied };
}

/**
 * Takes entries and joints over from a sister engine. An entry that is here already is used as it is, a joint of a name
 * that stands here stays; what was measured on the other engine is not known of this one.
 */
export const takeOverAction = shopAction(takeOverSchema, ({ engineId, fromId, leafIds, jointIds }, bench) => {
  const { shop, nowIso } = bench;
  const [into, from] = [engineRowsNow(bench, engineId), engineRowsNow(bench, fromId)];
  const joints = from.joints.filter(({ id }) => jointIds.includes(id));
  const strange = [...leafIds].filter((id) => !from.leaves.some((leaf) => leaf.id === id));
  if (strange.length > 0 || joints.length < new Set(jointIds).size)
    throw new DomainError('not-found', 'Something of that is no longer on the other engine. Look again.', 'fromId');
  // A joint draws on its entry: that comes along.
  const wanted = new Set([...leafIds, ...joints.flatMap(leafIdsOf)]);
  const { ids, copied } = copyLeaves(bench, into, from, wanted);
  const isNamed = hasJointNamed(into);
  let made = 0;
  for (const [i, joint] of joints.entries()) {
    // Each a moment younger than the one before, so that they keep their order.
    const createdAt = new Date(Date.parse(nowIso) + i).toISOString();
    const copy = jointForSister(joint, { id: nanoid(10), engineId, createdAt, leafIds: ids });
    if (!copy || isNamed(joint.name)) continue;
    shop.joints.add(copy);
    made += 1;
  }
  if (copied + made === 0)
    throw new DomainError('nothing-new', 'All of that is here already. Nothing was written.', 'leafIds');
  bench.tell(
    `${counted(copied, 'entry', 'entries')} and ${counted(made, 'joint', 'joints')} were taken over from “${from.engine.name}”`,
  );
  return { href: made > 0 ? `/engines/${engineId}/joints` : `/engines/${engineId}/book`, copied, made };
});
