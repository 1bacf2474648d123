'use server';

import Joi from 'joi';
import { DomainError } from '@/core/units';
import { REMOVABLE_KINDS, type RemovableKind } from '@/model/removable';
import { oneOf } from '@/model/one-of';
import { shopAction } from '@/server/shop-action';
import { takeBack, undoable } from '@/server/undo';

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
export const takeAwayAction = shopAction(removalSchema, ({ kind, id, name }, { shop, now }) => {
  const hanging = shop.removals.hangingOn(kind, id);
  if (hanging.length > 0)
    throw new DomainError(
      'hangs',
      `“${name}” stays: ${hanging.join(', ')} ${hanging.length === 1 ? 'hangs' : 'hang'} on it.${kind === 'engine' ? ' Put it aside instead.' : ''}`,
      'id',
    );
  const rows = shop.removals.take(kind, id);
  if (!rows) throw new DomainError('not-found', `“${name}” is no longer here.`, 'id');
  return { undo: undoable(shop, now, `“${name}” was taken away`, (there) => there.removals.putBack(rows)) };
});

const tokenSchema = Joi.object<{ token: string }, true>({ token: Joi.string().max(60).required() });

/** Takes the last act back. */
export const undoAction = shopAction(tokenSchema, ({ token }, { shop, now }) => {
  takeBack(shop, now, token);
  return {};
});
