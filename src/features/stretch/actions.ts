'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { boltSegments, stiffness } from '@/core/fastener';
import { threadNamed } from '@/core/thread';
import { DomainError, atField } from '@/core/units';
import { typedLength, typedTorque } from '@/core/print';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { boltReadingSchema, boltSetSchema, type BoltSetFields } from './schema';

function segmentsOf(fields: BoltSetFields) {
  const waisted = fields.waist !== '' && fields.waist !== '0';
  return boltSegments(
    atField('thread', () => threadNamed(fields.thread)),
    {
      shank_mm: typedLength(fields.shank, 'shank'),
      shankDiameter_mm: typedLength(fields.shankDiameter, 'shankDiameter'),
      freeThread_mm: typedLength(fields.freeThread, 'freeThread'),
      ...(waisted && {
        waist_mm: typedLength(fields.waist, 'waist'),
        waistDiameter_mm: typedLength(fields.waistDiameter, 'waistDiameter'),
      }),
    },
  );
}

/** Enters a set of bolts that is tightened by stretch. */
export async function addBoltSetAction(input: unknown) {
  return runAction(boltSetSchema, input, async (fields) => {
    const shop = await currentShop();
    if (!shop.joints.find(fields.jointId))
      throw new DomainError('not-found', 'That joint is no longer here.', 'jointId');
    const [minStretch_mm, maxStretch_mm] = [
      typedLength(fields.minStretch, 'minStretch'),
      typedLength(fields.maxStretch, 'maxStretch'),
    ];
    if (!(minStretch_mm > 0 && maxStretch_mm >= minStretch_mm))
      throw new DomainError('bad-field', 'The greatest stretch must not be below the least.', 'maxStretch');
    const segments = segmentsOf(fields);
    stiffness(segments, fields.E_GPa);
    const { jointId, name, bolts, E_GPa, bothEnds } = fields;
    shop.bolts.add({
      id: nanoid(10),
      jointId,
      name,
      bolts,
      segments,
      E_GPa,
      minStretch_mm,
      maxStretch_mm,
      ceiling_Nm: typedTorque(fields.ceiling, 'ceiling'),
      maxSet_mm: typedLength(fields.maxSet, 'maxSet'),
      bothEnds,
      createdAt: nowIso(),
    });
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Enters a length as read. A bare figure under 10 is inches: no bolt of an engine is that short in mm. */
export async function addBoltReadingAction(input: unknown) {
  return runAction(boltReadingSchema, input, async ({ setId, bolt, kind, typed, torque }) => {
    const shop = await currentShop();
    const set = shop.bolts.find(setId);
    if (!set || bolt > set.bolts) throw new DomainError('not-found', 'That bolt is not in this set.', 'bolt');
    const inches = /^\d?[.,]\d+$|^\d$/.test(typed.trim());
    const length_mm = typedLength(typed, 'typed', inches ? 'in' : 'mm');
    const free = shop.bolts
      .readings(setId)
      .filter((one) => one.bolt === bolt && one.kind === 'free')
      .at(-1);
    if (kind !== 'free' && !free)
      throw new DomainError('bad-field', 'Read its free length first: stretch is the difference.', 'typed');
    if (free && Math.abs(length_mm - free.length_mm) > 0.02 * free.length_mm)
      throw new DomainError(
        'bad-field',
        `${length_mm.toFixed(3)} mm is more than 2 % off the free length of ${free.length_mm.toFixed(3)} mm. Check the reading and its unit.`,
        'typed',
      );
    shop.bolts.read({
      id: nanoid(),
      setId,
      bolt,
      kind,
      length_mm,
      typed,
      torque_Nm: torque === '' ? null : typedTorque(torque, 'torque'),
      at: nowIso(),
    });
    revalidatePath('/', 'layout');
    return {};
  });
}
