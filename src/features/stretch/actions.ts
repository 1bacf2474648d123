'use server';

import { nanoid } from 'nanoid';
import { boltSegments, stiffness } from '@/core/fastener';
import { isBare, typedLength, typedTorque } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { DomainError, atField } from '@/core/units';
import type { BoltReadingKind, BoltSet } from '@/model/bolt/bolt-set';
import { boltSetState, type BoltState } from '@/model/bolt/bolt-state';
import { assertWorkedWith } from '@/server/assert-worked-with';
import { found, shopAction, type Bench } from '@/server/shop-action';
import { boltReadingSchema, boltSetSchema, boltStrikeSchema, type BoltSetFields } from './schema';

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
  assertWorkedWith(shop, 'joint', joint.id);
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
/** Of another of its kind, as it came. */
const MAX_OFF_ANOTHER = 0.1;
/** A bolt is not shorter under load than without, nor after a pull than before it, but for what is read wrong. */
const READ_WRONG_MM = 0.02;

/** A set that is worked with, of a joint that is. @throws DomainError not-found, set-aside */
function setNamed(shop: Bench['shop'], setId: string): BoltSet {
  const set = found(shop.bolts, setId, 'set of bolts', 'setId');
  if (set.aside !== undefined)
    throw new DomainError(
      'set-aside',
      'Those bolts were set aside: bring them back before going on with them.',
      'setId',
    );
  assertWorkedWith(shop, 'joint', set.jointId);
  return set;
}

const wrong = (message: string) => new DomainError('bad-field', message, 'typed');

/** Refuses a length that cannot be of this bolt. @throws DomainError bad-field */
function assertOfThisBolt(length_mm: number, kind: BoltReadingKind, { free }: BoltState): void {
  if (!free) {
    if (kind !== 'free') throw wrong('Read its free length first: stretch is the difference.');
    return;
  }
  const off_mm = length_mm - free.length_mm;
  const told = `the free length of ${free.length_mm.toFixed(3)} mm`;
  const most = kind === 'another' ? MAX_OFF_ANOTHER : MAX_OFF_FREE;
  if (Math.abs(off_mm) > most * free.length_mm)
    throw wrong(`${length_mm.toFixed(3)} mm is more than ${100 * most} % off ${told}. Check the reading and its unit.`);
  if (kind !== 'another' && off_mm < -READ_WRONG_MM)
    throw wrong(
      `${length_mm.toFixed(3)} mm is ${(-off_mm).toFixed(3)} mm shorter than ${told}, which no bolt becomes. Zero the gauge and read again; of another bolt say so.`,
    );
}

/** Enters a length as read. A bare figure under 10 is inches: no bolt of an engine is that short in mm. */
export const addBoltReadingAction = shopAction(boltReadingSchema, (fields, { shop, nowIso, tell }) => {
  const { setId, bolt, kind, typed, torque } = fields;
  const set = setNamed(shop, setId);
  const state = boltSetState({ set, readings: shop.bolts.readings(setId) }).bolts[bolt - 1];
  if (!state) throw new DomainError('not-found', 'That bolt is not in this set.', 'bolt');
  const isInches = isBare(typed) && typedLength(typed, 'typed') < 10;
  const length_mm = typedLength(typed, 'typed', isInches ? 'in' : 'mm');
  assertOfThisBolt(length_mm, kind, state);
  shop.bolts.read({
    id: nanoid(),
    setId,
    bolt,
    kind,
    length_mm,
    typed,
    torque_Nm: torque === '' ? null : typedTorque(torque, 'torque'),
    strikes: null,
    at: nowIso,
  });
  tell(`A length of bolt ${bolt} was written: ${typed}`);
  return {};
});

/** Takes back the last length of a bolt that was read wrong, with a line of its own. */
export const strikeBoltReadingAction = shopAction(boltStrikeSchema, ({ setId, readingId }, { shop, nowIso, tell }) => {
  const set = setNamed(shop, setId);
  const readings = shop.bolts.readings(setId);
  const last = boltSetState({ set, readings }).bolts.find((one) => one.last?.id === readingId)?.last;
  if (!last)
    throw new DomainError(
      'nothing-to-strike',
      'Only the last length of a bolt that still stands can be cancelled.',
      'readingId',
    );
  shop.bolts.read({ ...last, id: nanoid(), strikes: last.id, at: nowIso, who: undefined });
  tell(`A length of bolt ${last.bolt} was cancelled: ${last.typed}`);
  return {};
});
