import { DomainError, isDomainError } from '@/core/units';
import { jointInputs } from '@/db/reads/joint-inputs';
import { jointsReferringTo } from '@/db/reads/joints-affected';
import type { ChangedRow } from '@/db/repositories/act-repository';
import type { Shop } from '@/db/shop';
import { DETAIL_JSON } from '@/model/joint/joint-detail';
import { assertShape } from '@/model/joint/joint-shape';
import { assertReckoned } from '@/model/joint/joint-result';
import { assertOrder } from '@/model/order/edit-steps';
import type { Step } from '@/model/order/step';
import { BUILT_IN } from '@/model/shelf/shelves';
import type { ShelfKind } from '@/model/shelf/shelf-rows';
import type { AsideKind } from '@/model/set-aside';
import { assertMayBeAside } from '@/server/may-be-aside';
import { assertShapeMayChange } from '@/server/shape-may-change';

// Taking back is a door like any other: what the screens refuse today is refused here, though it once was so.

const cannot = (words: string) =>
  new DomainError('changed-since', `It cannot be taken back any more: ${words}`, 'token');

const idOf = (row: ChangedRow['before']) => String(row?.id ?? '');

/**
 * What an act brought back from being aside would be set aside again: only if it may be today.
 * @throws DomainError hangs
 */
export function assertMayComeBack(shop: Shop, changed: readonly ChangedRow[]): void {
  for (const { table, before, after } of changed)
    if (table === 'set_aside' && before && !after) {
      const kind = before.kind as AsideKind;
      // Of a chain of corrections only the last stands by itself.
      if (kind !== 'leaf' || shop.book.leafReplacing(idOf(before)) === undefined)
        assertMayBeAside(shop, kind, idOf(before));
    }
}

/** How many fasteners there are, and how they lie, comes back only where the sheet would let it be altered. */
function assertShapeFree(shop: Shop, { before, after }: ChangedRow): void {
  if (!before || !after) return;
  const places = (row: typeof before) => JSON.stringify(DETAIL_JSON.read(String(row.detail)).places);
  const isSame =
    before.fasteners === after.fasteners && before.pattern === after.pattern && places(before) === places(after);
  if (isSame) return;
  const joint = shop.joints.find(idOf(after));
  try {
    if (joint) assertShapeMayChange(shop, joint);
  } catch (error) {
    if (isDomainError(error)) throw cannot(error.message);
    throw error;
  }
}

function assertReckonable(shop: Shop, id: string, now: number): void {
  const joint = shop.joints.find(id);
  if (!joint) return;
  try {
    assertShape(joint);
    assertReckoned(jointInputs(shop, joint, now));
  } catch (error) {
    if (isDomainError(error)) throw cannot(`“${joint.name}” could not be reckoned then. ${error.message}`);
    throw error;
  }
}

/** A row that an act put on a shelf goes only where no joint draws on it by now. */
function assertShelfUnused(shop: Shop, { before, after }: ChangedRow): void {
  if (before || !after) return;
  const id = idOf(after);
  if (BUILT_IN[after.kind as ShelfKind].some((row) => row.id === id)) return;
  const using = jointsReferringTo(shop, id);
  if (using.length > 0) throw cannot(`${using.join(', ')} ${using.length === 1 ? 'draws' : 'draw'} on it by now.`);
}

/** An entry that an act added goes only where no joint names it by now. */
function assertLeafUnused(shop: Shop, { before, after }: ChangedRow): void {
  if (before || !after) return;
  const using = shop.removals.drawingOn('leaf', idOf(after));
  if (using.length > 0) throw cannot(`${using.join(', ')} ${using.length === 1 ? 'draws' : 'draw'} on it by now.`);
}

/** A wrench that an act hung up goes only where no joint, and no kind of fastener of one, is set with it by now. */
function assertWrenchUnused(shop: Shop, { before, after }: ChangedRow): void {
  if (before || !after) return;
  const using = shop.removals.hangingOn('wrench', idOf(after));
  if (using.length > 0) throw cannot(`${using.join(', ')} ${using.length === 1 ? 'is' : 'are'} set with it by now.`);
}

/** Steps are never left waiting for one another in a ring. */
function assertNoRing(shop: Shop, { before, after }: ChangedRow): void {
  const engineId = String((before ?? after)?.engine_id ?? '');
  try {
    assertOrder(known(shop.build.ofEngine(engineId).steps));
  } catch (error) {
    if (isDomainError(error)) throw cannot(error.message);
    throw error;
  }
}

/** Links to steps that stand; what was set aside holds nothing up. */
const known = (steps: readonly Step[]): readonly Step[] => {
  const ids = new Set(steps.map(({ id }) => id));
  const kept = (links: readonly string[]) => links.filter((id) => ids.has(id));
  return steps.map((step) => ({ ...step, after: kept(step.after), notUntil: kept(step.notUntil) }));
};

/**
 * What was come back to has to be what a screen would let stand today; inside the transaction, so that nothing is
 * written where it is not.
 * @param changed what the act changed that was taken back
 * @throws DomainError changed-since
 */
export function assertStands(shop: Shop, changed: readonly ChangedRow[], now: number): void {
  for (const one of changed) {
    if (one.table === 'joint') {
      assertShapeFree(shop, one);
      assertReckonable(shop, idOf(one.before ?? one.after), now);
    }
    if (one.table === 'shelf_row') assertShelfUnused(shop, one);
    if (one.table === 'leaf') assertLeafUnused(shop, one);
    if (one.table === 'wrench') assertWrenchUnused(shop, one);
    if (one.table === 'step' || one.table === 'set_aside') assertNoRing(shop, one);
  }
}
