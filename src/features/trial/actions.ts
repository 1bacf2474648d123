'use server';

import { nanoid } from 'nanoid';
import { assertBearingFace, boltSegments, stiffness } from '@/core/fastener';
import { typedLength, typedTorque } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { DomainError, assertPositive, atField } from '@/core/units';
import { assertWritten } from '@/model/stale';
import { found, shopAction, shopQuestion } from '@/server/shop-action';
import { ownFilmOf, reachOf } from './queries';
import {
  renameTrialSchema,
  shelveFilmSchema,
  strikePullSchema,
  trialIdSchema,
  trialPullSchema,
  trialSchema,
} from './schema';

/** Begins a trial: bolts of one kind, on one face. */
export const addTrialAction = shopAction(trialSchema, (fields, { shop, nowIso, tell }) => {
  const thread = atField('thread', () => threadNamed(fields.thread));
  const [outer_mm, inner_mm] = [typedLength(fields.outer, 'outer'), typedLength(fields.inner, 'inner')];
  atField('outer', () => assertBearingFace({ outer_mm, inner_mm }));
  const segments = boltSegments(thread, {
    shank_mm: typedLength(fields.shank, 'shank'),
    shankDiameter_mm: typedLength(fields.shankDiameter, 'shankDiameter'),
    freeThread_mm: typedLength(fields.freeThread, 'freeThread'),
  });
  stiffness(segments, fields.E_GPa);
  const id = nanoid(10);
  const { name, E_GPa } = fields;
  shop.trials.add({ id, name, thread: thread.designation, outer_mm, inner_mm, segments, E_GPa, createdAt: nowIso });
  tell(`The trial “${name}” was begun`);
  return { href: `/shelves/trials/${id}` };
});

/** Gives a trial another name; what it put on the shelf keeps the name that it was put there with. */
export const renameTrialAction = shopAction(renameTrialSchema, ({ trialId, name }, { shop, tell }) => {
  const { name: before } = found(shop.trials, trialId, 'trial', 'trialId');
  if (before === name) return {};
  shop.trials.rename(trialId, name);
  tell(`The trial “${before}” is called “${name}” now`);
  return {};
});

// No bolt of an engine stretches further; a slip of the unit does.
const MAX_STRETCH_MM = 3;

/** Enters a pull: which bolt, in which film, to what torque, and how far it stretched. */
export const addTrialPullAction = shopAction(trialPullSchema, (fields, { shop, nowIso, tell }) => {
  const { trialId, bolt, film, torque, stretch } = fields;
  const { aside } = found(shop.trials, trialId, 'trial', 'trialId');
  if (aside !== undefined)
    throw new DomainError('set-aside', 'That trial was set aside: bring it back before going on with it.', 'trialId');
  const [torque_Nm, stretch_mm] = [typedTorque(torque, 'torque'), typedLength(stretch, 'stretch')];
  assertPositive(torque_Nm, 'torque');
  assertPositive(stretch_mm, 'stretch');
  if (stretch_mm > MAX_STRETCH_MM)
    throw new DomainError(
      'bad-field',
      `${stretch_mm} mm is more than any bolt of an engine stretches. Check the unit.`,
      'stretch',
    );
  shop.trials.pull({ id: nanoid(), trialId, bolt, film, torque_Nm, stretch_mm, typed: stretch, at: nowIso });
  tell(`A pull of bolt ${bolt} was written`);
  return {};
});

/** Strikes a pull that was wrong, with a line of its own. */
export const strikeTrialPullAction = shopAction(strikePullSchema, ({ trialId, pullId }, { shop, nowIso, tell }) => {
  const struck = shop.trials.pulls(trialId).find((pull) => pull.id === pullId);
  if (!struck) throw new DomainError('nothing-to-strike', 'That pull is not standing.', 'pullId');
  shop.trials.strike(nanoid(), struck, nowIso);
  tell(`The pull of bolt ${struck.bolt} was cancelled`);
  return {};
});

/**
 * What a trial reaches beyond its own page: the joints of its thread, and those that its films would move. Asked for
 * by a press.
 */
export const trialReachAction = shopQuestion(trialIdSchema, ({ trialId }, { shop, now }) =>
  reachOf(shop, found(shop.trials, trialId, 'trial', 'trialId'), now),
);

/** Puts the shop's own film on the shelf. The built-in row stays beneath it. */
export const shelveFilmAction = shopAction(shelveFilmSchema, ({ trialId, film }, { shop, nowIso, tell }) => {
  const own = ownFilmOf(shop, found(shop.trials, trialId, 'trial', 'trialId'), film);
  if (!own)
    throw new DomainError(
      'not-found',
      'That lubricant was not tried on two bolts, so there is no interval to put on the shelf.',
      'film',
    );
  const version = shop.shelf.find('film', own.id)?.version ?? 0;
  assertWritten(own.name, shop.shelf.put('film', own, version, nowIso), { version });
  tell(`“${own.name}” was put on the shelf`);
  return {};
});
