'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import type { Fit, ReadingLine } from '@/model/fit/fit';
import type { Shop } from '@/db/shop';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { recordLine } from './record-line';
import { readReadings, type ReadingRow } from './readings-csv';

const schema = Joi.object<{ text: string; engineId: string }>({
  text: Joi.string().max(5_000_000).required().messages({ 'string.empty': 'Paste the table, or choose its file.' }),
  engineId: Joi.string().required(),
});

function fitsFor(shop: Shop, engineId: string): readonly Fit[] {
  const fits = shop.fits.ofEngine(engineId);
  if (fits.length === 0)
    throw new DomainError(
      'bad-field',
      'This engine has no fit yet: make them first, so that the readings have a place.',
      'text',
    );
  return fits;
}

const rowsOf = (shop: Shop, engineId: string, text: string): readonly ReadingRow[] =>
  readReadings(text, fitsFor(shop, engineId), shop.fits.linesOfEngine(engineId));

/** Shows each row as it would be read. Nothing is written. */
export async function previewReadingsAction(input: unknown) {
  return runAction(schema, input, async ({ text, engineId }) => rowsOf(await currentShop(), engineId, text));
}

/** When it was read; a clock that ran ahead of this one is not believed. */
const earlier = (said: string | undefined, now: string) => (said !== undefined && said < now ? said : now);

function lineOf(reading: NonNullable<ReadingRow['reading']>): ReadingLine {
  const {
    place,
    part,
    station,
    angle,
    value_mm,
    typed,
    unit,
    instrument,
    standard_mm,
    resolution_mm,
    by,
    reportedBy,
    piece,
    at,
  } = reading;
  const body = { unit, instrument, standard_mm, resolution_mm, by, reportedBy, piece, answers: {} };
  return {
    id: nanoid(),
    kind: 'reading',
    place,
    part,
    station,
    angle,
    value_mm,
    typed,
    at: earlier(at, nowIso()),
    body,
  };
}

function enter(shop: Shop, fitId: string, line: ReadingLine): void {
  const outcome = recordLine(shop, fitId, line);
  if (!outcome.ok) throw new DomainError(outcome.error.code, outcome.error.message, 'text');
}

/** Enters the rows that can be read, all of them or none. What was measured elsewhere says nothing of its conditions: they are asked for on the sheet. */
export async function importReadingsAction(input: unknown) {
  return runAction(schema, input, async ({ text, engineId }) => {
    const shop = await currentShop();
    const readings = rowsOf(shop, engineId, text).flatMap((row) => row.reading ?? []);
    shop.transaction(() => readings.forEach((reading) => enter(shop, reading.fitId, lineOf(reading))));
    revalidatePath('/', 'layout');
    return { entered: readings.length };
  });
}
