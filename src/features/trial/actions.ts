'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { assertBearingFace, boltSegments, stiffness } from '@/core/fastener';
import { threadNamed } from '@/core/thread';
import { DomainError, assertPositive, atField } from '@/core/units';
import { typedLength, typedTorque } from '@/core/print';
import { nowIso, nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { trialPage } from './queries';
import { shelveFilmSchema, strikePullSchema, trialPullSchema, trialSchema } from './schema';

/** Begins a trial: bolts of one kind, on one face. */
export async function addTrialAction(input: unknown) {
  return runAction(trialSchema, input, async (fields) => {
    const shop = await currentShop();
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
    shop.trials.add({
      id,
      name: fields.name,
      thread: thread.designation,
      outer_mm,
      inner_mm,
      segments,
      E_GPa: fields.E_GPa,
      createdAt: nowIso(),
    });
    revalidatePath('/', 'layout');
    return { href: `/shelves/trials/${id}` };
  });
}

/** Enters a pull: which bolt, in which film, to what torque, and how far it stretched. */
export async function addTrialPullAction(input: unknown) {
  return runAction(trialPullSchema, input, async ({ trialId, bolt, film, torque, stretch }) => {
    const shop = await currentShop();
    if (!shop.trials.find(trialId)) throw new DomainError('not-found', 'That trial is no longer here.', 'trialId');
    const [torque_Nm, stretch_mm] = [typedTorque(torque, 'torque'), typedLength(stretch, 'stretch')];
    assertPositive(torque_Nm, 'torque');
    assertPositive(stretch_mm, 'stretch');
    if (stretch_mm > 3)
      throw new DomainError(
        'bad-field',
        `${stretch_mm} mm is more than any bolt of an engine stretches. Check the unit.`,
        'stretch',
      );
    shop.trials.pull({ id: nanoid(), trialId, bolt, film, torque_Nm, stretch_mm, typed: stretch, at: nowIso() });
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Strikes a pull that was wrong, with a line of its own. */
export async function strikeTrialPullAction(input: unknown) {
  return runAction(strikePullSchema, input, async ({ trialId, pullId }) => {
    const shop = await currentShop();
    const struck = shop.trials.pulls(trialId).find((pull) => pull.id === pullId);
    if (!struck) throw new DomainError('nothing-to-strike', 'That pull is not standing.', 'pullId');
    shop.trials.strike(nanoid(), struck, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Puts the shop's own film on the shelf, with standing `own`. The shipped row stays beneath it. */
export async function shelveFilmAction(input: unknown) {
  return runAction(shelveFilmSchema, input, async ({ trialId, film }) => {
    const shop = await currentShop();
    const own = trialPage(shop, trialId, nowMs())?.tried.find((one) => one.film.id === film)?.own;
    if (!own)
      throw new DomainError(
        'not-found',
        'That film was not tried on two bolts, so there is no interval to put on the shelf.',
        'film',
      );
    shop.shelf.put('film', own, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}
