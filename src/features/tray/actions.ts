'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { MAX_PARTS, PLAIN_PART, type Part } from '@/model/order/part';
import { pairsOffTray } from '@/model/order/pairs-off-tray';
import { assertFresh, assertWritten, changedWords, sayBy } from '@/model/stale';
import { assertNotOver } from '@/server/assert-not-over';
import { engineOf, found, shopAction, shopQuestion, type Bench } from '@/server/shop-action';
import { readParts } from './parts-csv';
import { ofEngineSchema, partSchema, partsTableSchema } from './schema';

type Shop = Bench['shop'];

const sayPart = sayBy({
  name: 'Name',
  stepId: 'Where it goes',
  need: 'Needed',
  here: 'Here',
  mark: 'Mark',
  serial: 'Its own number',
  bag: 'Bag',
  origin: 'Where it is from',
  condition: 'Condition',
  detail: 'What is known of it',
});

/** A part that has a number of its own is on one engine. @throws DomainError on-another */
function assertOnOne(shop: Shop, { serial }: Pick<Part, 'serial'>, id: string | null): void {
  const other = serial === '' ? undefined : shop.build.partsNumbered(serial).find((part) => part.id !== id);
  if (other)
    throw new DomainError(
      'on-another',
      `A part numbered ${serial} is on the tray of “${other.engine}” already.`,
      'serial',
    );
}

/** Writes down a part of the tray, or changes one. */
export const keepPartAction = shopAction(partSchema, (given, bench) => {
  const { shop, nowIso, tell } = bench;
  const { id: known, version, ...fields } = given;
  engineOf(bench, fields.engineId);
  const { steps, parts } = shop.build.ofEngine(fields.engineId);
  if (fields.stepId !== null && !steps.some(({ id }) => id === fields.stepId))
    throw new DomainError('not-found', 'That step is no longer in the order.', 'stepId');
  assertOnOne(shop, fields, known);
  if (known === null) {
    if (parts.length >= MAX_PARTS)
      throw new DomainError('too-many', `A tray holds at most ${MAX_PARTS} kinds of part.`, 'name');
    const part: Part = { ...fields, id: nanoid(10), version: 1, createdAt: nowIso };
    shop.build.addPart(part);
    tell(`“${part.name}” was put on the tray`);
    return { id: part.id };
  }
  const before = found({ find: shop.build.findPart }, known, 'part', 'id');
  if (before.engineId !== fields.engineId)
    throw new DomainError('not-found', 'That is not of this engine.', 'engineId');
  assertFresh(before.name, before, { ...fields, version }, sayPart);
  if (fields.here < before.here) assertNotOver(bench, known, 'here');
  assertWritten(before.name, shop.build.alterPart({ ...before, ...fields }), before);
  tell(changedWords(before.name, before, fields, sayPart));
  return { id: known };
});

/** Pairs of the sheet of match marks that are not on the tray yet. */
const pairsLeft = (shop: Shop, engineId: string) => {
  const { parts } = shop.build.ofEngine(engineId);
  return pairsOffTray(shop.measures.all(engineId), parts);
};

/** Puts the pairs of the sheet of match marks on the tray: each is asked for its marks as it is fitted. */
export const takeMarksAction = shopAction(ofEngineSchema, ({ engineId }, bench) => {
  const { shop, now, tell } = bench;
  engineOf(bench, engineId);
  const pairs = pairsLeft(shop, engineId);
  if (pairs.length === 0) throw new DomainError('nothing', 'Every pair of the sheet is on the tray.', 'engineId');
  pairs.forEach(({ place, one, other }, i) =>
    shop.build.addPart({
      id: nanoid(10),
      engineId,
      stepId: null,
      name: place,
      need: 1,
      here: 1,
      mark: one,
      serial: '',
      bag: '',
      origin: 'taken-off',
      condition: 'not-said',
      detail: { ...PLAIN_PART, mates: `what is marked ${other}` },
      version: 1,
      createdAt: new Date(now + i).toISOString(),
    }),
  );
  tell(
    pairs.length === 1 ? '1 pair of marks was put on the tray' : `${pairs.length} pairs of marks were put on the tray`,
  );
  return { added: pairs.length };
});

const rowsOf = (shop: Shop, engineId: string, text: string) =>
  readParts(text, shop.build.ofEngine(engineId), (serial) => shop.build.partsNumbered(serial)[0]?.engine);

/** Shows each row of a table of parts as it would be read. Nothing is written. */
export const previewPartsAction = shopQuestion(partsTableSchema, ({ engineId, text }, bench) => {
  engineOf(bench, engineId);
  return { rows: rowsOf(bench.shop, engineId, text) };
});

/** Puts the rows that can be read on the tray, all of them or none; the rest stays aside. */
export const enterPartsAction = shopAction(partsTableSchema, ({ engineId, text }, bench) => {
  const { shop, now, tell } = bench;
  engineOf(bench, engineId);
  const fields = rowsOf(shop, engineId, text).flatMap(({ part }) => part ?? []);
  if (shop.build.ofEngine(engineId).parts.length + fields.length > MAX_PARTS)
    throw new DomainError('too-many', `A tray holds at most ${MAX_PARTS} kinds of part.`, 'text');
  fields.forEach((one, i) => {
    assertOnOne(shop, one, null);
    // The table's order is kept: each is a moment younger than the one before.
    shop.build.addPart({ ...one, engineId, id: nanoid(10), version: 1, createdAt: new Date(now + i).toISOString() });
  });
  tell(fields.length === 1 ? '1 part was read in from a table' : `${fields.length} parts were read in from a table`);
  return { entered: fields.length };
});
