'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { ASIDE_KINDS, SHELF_ASIDE_KINDS, type AsideKind, type ShelfAsideKind } from '@/model/set-aside';
import { REMOVABLE_KINDS, type RemovableKind } from '@/model/removable';
import { oneOf } from '@/model/one-of';
import { assertNotOver } from '@/server/assert-not-over';
import { closeOverStep } from '@/server/close-over-step';
import { plainShopAction, shopAction } from '@/server/shop-action';
import { asideRow, assertMayBeAside, rowName } from '@/server/may-be-aside';
import { assertMayComeBack, assertStands } from './taken-back';

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
  if (kind === 'step') closeOverStep(shop, id);
  if (kind === 'part') assertNotOver({ shop }, id);
  if (!shop.removals.take(kind, id)) throw new DomainError('not-found', `“${name}” is no longer here.`, 'id');
  tell(`“${name}” was taken away`);
  return {};
});

const ANY_KINDS = [...ASIDE_KINDS, ...SHELF_ASIDE_KINDS] as const;
type AnyKind = AsideKind | ShelfAsideKind;
const isOfShelf = (kind: AnyKind): kind is ShelfAsideKind => (SHELF_ASIDE_KINDS as readonly AnyKind[]).includes(kind);

interface Aside {
  readonly kind: AnyKind;
  readonly id: string;
  readonly reason: string;
}

const asideSchema = Joi.object<Aside, true>({
  kind: oneOf(ANY_KINDS).required(),
  id: Joi.string().max(60).required(),
  reason: Joi.string().trim().max(400).required().messages({ 'string.empty': 'Say why it is set aside.' }),
});

/** Sets aside what something hangs on, with a reason: it is worked with no more, and nothing of it is lost. */
export const setAsideAction = shopAction(asideSchema, ({ kind, id, reason }, { shop, nowIso, tell }) => {
  if (isOfShelf(kind)) {
    const name = rowName(shop, kind, id);
    if (!shop.asides.putRow(kind, id, reason))
      throw new DomainError('aside-already', `“${name}” is set aside already.`, 'id');
    tell(`“${name}” was set aside: ${reason}`);
    return {};
  }
  const { engineId, name } = assertMayBeAside(shop, kind, id);
  if (kind === 'step') closeOverStep(shop, id);
  shop.asides.put({ kind, id, engineId, reason, at: nowIso });
  tell(`“${name}” was set aside: ${reason}`);
  return {};
});

const asideIdSchema = Joi.object<Omit<Aside, 'reason'>, true>({
  kind: oneOf(ANY_KINDS).required(),
  id: Joi.string().max(60).required(),
});

/** Works again with what was set aside. */
export const bringAsideBackAction = shopAction(asideIdSchema, ({ kind, id }, { shop, tell }) => {
  const { name } = isOfShelf(kind) ? { name: rowName(shop, kind, id) } : asideRow(shop, kind, id);
  if (!(isOfShelf(kind) ? shop.asides.bringRowBack(kind, id) : shop.asides.bringBack(kind, id)))
    throw new DomainError('not-found', `“${name}” is not set aside.`, 'id');
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
export const undoAction = plainShopAction(tokenSchema, ({ token }, { shop, now, nowIso, who }) => {
  const changed = shop.acts.changed(token);
  assertMayComeBack(shop, changed);
  shop.acts.takeBack(token, { id: nanoid(), who, at: nowIso });
  assertStands(shop, changed, now);
  return {};
});
