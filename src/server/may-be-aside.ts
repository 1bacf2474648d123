import { DomainError } from '@/core/units';
import type { Shop } from '@/db/shop';
import { fitsOf, jointStateOf } from '@/model/engine/engine-rows';
import { stripsIn } from '@/model/fit/fit-gate';
import { isHolding } from '@/model/fit/place-state';
import type { AsideKind, ShelfAsideKind } from '@/model/set-aside';
import { engineRowsNow, engineStateNow } from '@/server/engine-now';
import { found } from '@/server/shop-action';

interface Named {
  readonly engineId: string;
  readonly name: string;
}

/** What is to be set aside, or was. @throws DomainError not-found */
export function asideRow(shop: Shop, kind: AsideKind, id: string): Named {
  if (kind === 'leaf') {
    const leaf = found({ find: shop.book.findLeaf }, id, 'entry', 'id');
    return { engineId: leaf.engineId, name: leaf.subject };
  }
  if (kind === 'step') return found({ find: shop.build.findStep }, id, 'step', 'id');
  return kind === 'joint' ? found(shop.joints, id, 'joint', 'id') : found(shop.fits, id, 'fit', 'id');
}

/** What a wrench, a source or a trial is called. @throws DomainError not-found */
export function rowName(shop: Shop, kind: ShelfAsideKind, id: string): string {
  if (kind === 'source') return found({ find: shop.book.findSource }, id, 'source', 'id').title;
  if (kind === 'bolt-set') return found(shop.bolts, id, 'set of bolts', 'id').name;
  return kind === 'wrench' ? found(shop.wrenches, id, 'wrench', 'id').name : found(shop.trials, id, 'trial', 'id').name;
}

const stays = (name: string, why: string) => new DomainError('hangs', `“${name}” stays: ${why}`, 'id');

/** A fit that is out of limits keeps joints open: setting it aside would close them unmended. */
function assertFitHoldsNothing(shop: Shop, id: string, { engineId, name }: Named): void {
  const judged = fitsOf(engineRowsNow({ shop }, engineId)).find(({ fit }) => fit.id === id);
  if (judged && (isHolding(judged.state) || stripsIn([judged]).length > 0))
    throw stays(
      name,
      'it is out of limits, or a strip lies in it. Put it right first, or undo the readings that were wrong.',
    );
}

/** A joint half pulled is loose, and would be on no list. */
function assertNotHalfPulled(shop: Shop, id: string, { engineId, name }: Named): void {
  const joint = found(shop.joints, id, 'joint', 'id');
  if (jointStateOf(engineRowsNow({ shop }, engineId), joint).halfPulled)
    throw stays(name, 'it is half pulled. Finish the round, or undo its pulls at the bench, first.');
}

/** A step that put an aid in, or uses parts up, would take them off the lists with it. */
function assertLeavesNothingIn(shop: Shop, id: string, { engineId, name }: Named): void {
  const { order } = engineStateNow({ shop }, engineId);
  const aid = order.aids.find(({ stepId }) => stepId === id);
  if (aid) throw stays(name, `it put ${aid.name} in. Sign them out first.`);
  const part = order.tray.find((one) => one.part.stepId === id);
  if (part) throw stays(name, `“${part.part.name}” goes there. Say first where else it goes.`);
}

/** What is set aside keeps nothing open and nothing draws on it. @throws DomainError hangs, not-found */
export function assertMayBeAside(shop: Shop, kind: AsideKind, id: string): Named {
  const row = asideRow(shop, kind, id);
  const drawing = shop.removals.drawingOn(kind, id);
  if (drawing.length > 0)
    throw stays(
      row.name,
      `${drawing.join(', ')} ${drawing.length === 1 ? 'draws' : 'draw'} on it. Let that draw on another first.`,
    );
  if (kind === 'fit') assertFitHoldsNothing(shop, id, row);
  if (kind === 'joint') assertNotHalfPulled(shop, id, row);
  if (kind === 'step') assertLeavesNothingIn(shop, id, row);
  return row;
}
