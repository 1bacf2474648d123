'use server';

import { nanoid } from 'nanoid';
import { boltSegments, stiffness } from '@/core/fastener';
import { isBare, typedLength, typedTorque } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { DomainError, atField } from '@/core/units';
import type { BoltReading } from '@/model/bolt/bolt-set';
import { found, shopAction } from '@/server/shop-action';
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
export const addBoltSetAction = shopAction(boltSetSchema, (fields, { shop, nowIso, tell }) => {
  const joint = found(shop.joints, fields.jointId, 'joint', 'jointId');
  const { kind } = fields;
  if (kind !== '' && !joint.detail.kinds.some((one) => one.name === kind))
    throw new DomainError('bad-field', `There are no “${kind}” in this joint any more.`, 'kind');
  const minStretch_mm = typedLength(fields.minStretch, 'minStretch');
  const maxStretch_mm = typedLength(fields.maxStretch, 'maxStretch');
  if (!(minStretch_mm > 0 && maxStretch_mm >= minStretch_mm))
    throw new DomainError('bad-field', 'The greatest stretch must not be below the least.', 'maxStretch');
  const segments = segmentsOf(fields);
  stiffness(segments, fields.E_GPa);
  const { jointId, name, bolts, E_GPa, bothEnds } = fields;
  shop.bolts.add({
    id: nanoid(10),
    jointId,
    kind,
    name,
    bolts,
    segments,
    E_GPa,
    minStretch_mm,
    maxStretch_mm,
    ceiling_Nm: typedTorque(fields.ceiling, 'ceiling'),
    maxSet_mm: typedLength(fields.maxSet, 'maxSet'),
    bothEnds,
    createdAt: nowIso,
  });
  tell(`The bolts “${name}” were entered`);
  return {};
});

// A length that is more than this off the bolt's free length is another bolt, or another unit: no bolt stretches so
// far.
const MAX_OFF_FREE = 0.02;

/** Refuses a length that cannot be of this bolt. @throws DomainError */
function assertOfThisBolt(length_mm: number, free: BoltReading | undefined): void {
  if (free && Math.abs(length_mm - free.length_mm) > MAX_OFF_FREE * free.length_mm)
    throw new DomainError(
      'bad-field',
      `${length_mm.toFixed(3)} mm is more than 2 % off the free length of ${free.length_mm.toFixed(3)} mm. Check the reading and its unit.`,
      'typed',
    );
}

/** Enters a length as read. A bare figure under 10 is inches: no bolt of an engine is that short in mm. */
export const addBoltReadingAction = shopAction(boltReadingSchema, (fields, { shop, nowIso }) => {
  const { setId, bolt, kind, typed, torque } = fields;
  const set = shop.bolts.find(setId);
  if (!set || bolt > set.bolts) throw new DomainError('not-found', 'That bolt is not in this set.', 'bolt');
  const isInches = isBare(typed) && typedLength(typed, 'typed') < 10;
  const length_mm = typedLength(typed, 'typed', isInches ? 'in' : 'mm');
  const free = shop.bolts.readings(setId).findLast((one) => one.bolt === bolt && one.kind === 'free');
  if (kind !== 'free' && !free)
    throw new DomainError('bad-field', 'Read its free length first: stretch is the difference.', 'typed');
  assertOfThisBolt(length_mm, free);
  shop.bolts.read({
    id: nanoid(),
    setId,
    bolt,
    kind,
    length_mm,
    typed,
    torque_Nm: torque === '' ? null : typedTorque(torque, 'torque'),
    at: nowIso,
  });
  return {};
});
