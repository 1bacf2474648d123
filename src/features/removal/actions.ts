'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { REMOVABLE_KINDS, type RemovableKind } from '@/model/removable';
import { oneOf } from '@/model/one-of';
import { plainShopAction, shopAction } from '@/server/shop-action';

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
