'use server';

import { nanoid } from 'nanoid';
import { typedTorque } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { DomainError, assertPositive, atField } from '@/core/units';
import { initialsIn } from '@/model/initials';
import { typedPull } from '@/model/trial/hand-pull';
import { shopAction } from '@/server/shop-action';
import { handPullSchema, handStrikeSchema } from './schema';

// No hand is off by so much; a slip of the unit is.
const MOST_OFF = 5;

/** Enters a pull by feel, and what it was read to be. */
export const addHandPullAction = shopAction(handPullSchema, (fields, { shop, nowIso, tell }) => {
  const { meant, read } = fields;
  // As they stand on every line: one hand must not be two for its dots.
  const hand = initialsIn(fields.hand);
  if (hand === '')
    throw new DomainError('bad-field', 'Say whose hand it is by its initials: one to four letters.', 'hand');
  const thread = atField('thread', () => threadNamed(fields.thread)).designation;
  const [meant_Nm, read_Nm] = [typedTorque(meant, 'meant'), typedTorque(read, 'read')];
  assertPositive(meant_Nm, 'meant');
  assertPositive(read_Nm, 'read');
  if (Math.max(read_Nm / meant_Nm, meant_Nm / read_Nm) > MOST_OFF)
    throw new DomainError(
      'bad-field',
      `${read} is more than ${MOST_OFF} times off ${meant}: no hand is. Check the unit.`,
      'read',
    );
  shop.hands.pull({ id: nanoid(), hand, thread, meant_Nm, read_Nm, typed: typedPull(meant, read), at: nowIso });
  tell(`A pull by feel of ${hand} was written`);
  return {};
});

/** Strikes a pull that was wrong, with a line of its own. */
export const strikeHandPullAction = shopAction(handStrikeSchema, ({ pullId }, { shop, nowIso, tell }) => {
  const struck = shop.hands.pulls().find(({ id }) => id === pullId);
  if (!struck) throw new DomainError('nothing-to-strike', 'That pull is not standing.', 'pullId');
  shop.hands.strike(nanoid(), struck, nowIso);
  tell(`A pull by feel of ${struck.hand} was cancelled`);
  return {};
});
