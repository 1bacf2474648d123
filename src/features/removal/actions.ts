'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { fitsOfEngine } from '@/db/reads/fits-of-engine';
import type { Shop } from '@/db/shop';
import { stripsIn } from '@/model/fit/fit-gate';
import { isHolding } from '@/model/fit/fit-state';
import { ASIDE_KINDS, type AsideKind } from '@/model/set-aside';
import { REMOVABLE_KINDS, type RemovableKind } from '@/model/removable';
import { oneOf } from '@/model/one-of';
import { found, plainShopAction, shopAction } from '@/server/shop-action';

interface Named {
  readonly kind: RemovableKind;
  readonly id: string;
  readonly name: string;
}

const removalSchema = Joi.object<Named, true>({
  kind: oneOf(REMOVABLE_KINDS).required(),
  id: Joi.string().max(60).required(),
  name: Joi.string().max(400).allow('').required(),
});

/** Takes away what was made by mistake. What has history, or something hanging on it, stays, and it is said what. */
export const takeAwayAction = shopAction(removalSchema, ({ kind, id, name }, { shop, tell }) => {
  const hanging = shop.removals.hangingOn(kind, id);
  if (hanging.length > 0)
    throw new DomainError(
      'hangs',
      `“${name}” stays: ${hanging.join(', ')} ${hanging.length === 1 ? 'hangs' : 'hang'} on it.${kind === 'engine' ? ' Put it aside instead.' : ''}`,
      'id',
    );
  if (!shop.removals.take(kind, id)) throw new DomainError('not-found', `“${name}” is no longer here.`, 'id');
  tell(`“${name}” was taken away`);
  return {};
});

interface Aside {
  readonly kind: AsideKind;
  readonly id: string;
  readonly reason: string;
}

const asideSchema = Joi.object<Aside, true>({
  kind: oneOf(ASIDE_KINDS).required(),
  id: Joi.string().max(60).required(),
  reason: Joi.string().trim().max(400).required().messages({ 'string.empty': 'Say why it is set aside.' }),
});

const asideRow = (shop: Shop, kind: AsideKind, id: string): { readonly engineId: string; readonly name: string } => {
  if (kind === 'leaf') {
    const leaf = found({ find: shop.book.findLeaf }, id, 'entry', 'id');
    return { engineId: leaf.engineId, name: leaf.subject };
  }
  return kind === 'joint' ? found(shop.joints, id, 'joint', 'id') : found(shop.fits, id, 'fit', 'id');
};

/** A fit that is out of limits keeps joints open: setting it aside would close them unmended. */
function assertHoldsNothing(shop: Shop, kind: AsideKind, id: string, engineId: string): void {
  const judged = kind === 'fit' ? fitsOfEngine(shop, engineId).find(({ fit }) => fit.id === id) : undefined;
  if (judged && (isHolding(judged.state) || stripsIn([judged]).length > 0))
    throw new DomainError(
      'hangs',
      `“${judged.fit.name}” stays: it is out of limits, or a strip lies in it. Put it right first, or undo the readings that were wrong.`,
      'id',
    );
}

/** Sets aside what something hangs on, with a reason: it is worked with no more, and nothing of it is lost. */
export const setAsideAction = shopAction(asideSchema, ({ kind, id, reason }, { shop, nowIso, tell }) => {
  const { engineId, name } = asideRow(shop, kind, id);
  const drawing = shop.removals.drawingOn(kind, id);
  if (drawing.length > 0)
    throw new DomainError(
      'hangs',
      `“${name}” stays: ${drawing.join(', ')} ${drawing.length === 1 ? 'draws' : 'draw'} on it. Let that draw on another first.`,
      'id',
    );
  assertHoldsNothing(shop, kind, id, engineId);
  shop.asides.put({ kind, id, engineId, reason, at: nowIso });
  tell(`“${name}” was set aside: ${reason}`);
  return {};
});

const asideIdSchema = Joi.object<Omit<Aside, 'reason'>, true>({
  kind: oneOf(ASIDE_KINDS).required(),
  id: Joi.string().max(60).required(),
});

/** Works again with what was set aside. */
export const bringAsideBackAction = shopAction(asideIdSchema, ({ kind, id }, { shop, tell }) => {
  const { name } = asideRow(shop, kind, id);
  if (!shop.asides.bringBack(kind, id)) throw new DomainError('not-found', `“${name}” is not set aside.`, 'id');
  tell(`“${name}” was brought back`);
  return {};
});

const photoSchema = Joi.object<{ photoId: string }, true>({ photoId: Joi.string().max(60).required() });

/** Takes a photograph away: it is no line of a record, and it may be of the wrong page. */
export const removePhotoAction = shopAction(photoSchema, ({ photoId }, { shop, tell }) => {
  if (!shop.book.removePhoto(photoId) && !shop.notes.removePhoto(photoId))
    throw new DomainError('not-found', 'That photograph is not in this shop.', 'photoId');
  tell('A photograph was taken away');
  return {};
});

const tokenSchema = Joi.object<{ token: string }, true>({ token: Joi.string().max(60).required() });

/** Takes an act back; or does again what was taken back. */
export const undoAction = plainShopAction(tokenSchema, ({ token }, { shop, nowIso, who }) => {
  shop.acts.takeBack(token, { id: nanoid(), who, at: nowIso });
  return {};
});
