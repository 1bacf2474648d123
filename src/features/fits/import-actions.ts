'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import type { Shop } from '@/db/shop';
import type { Fit } from '@/model/fit/fit';
import { MAX_AGE_MS } from '@/model/line-age';
import { shopAction, shopQuestion, type Bench } from '@/server/shop-action';
import { withDoubts } from './import-doubts';
import { readReadings, type ReadingRow } from './readings-csv';
import { keepReadings, type SentReading } from './record-line';

const schema = Joi.object<{ text: string; engineId: string; sure: boolean }, true>({
  text: Joi.string().max(5_000_000).required().messages({ 'string.empty': 'Paste the table, or choose its file.' }),
  engineId: Joi.string().required(),
  sure: Joi.boolean().default(false),
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

function rowsOf({ shop }: Bench, engineId: string, text: string): readonly ReadingRow[] {
  const fits = fitsFor(shop, engineId);
  const lines = shop.fits.linesOfEngine(engineId);
  return withDoubts(readReadings(text, fits, lines), fits, lines, (fit) => contextOfFit(shop, fit));
}

/** Shows each row as it would be read. Nothing is written. */
export const previewReadingsAction = shopQuestion(schema, ({ text, engineId }, bench) => rowsOf(bench, engineId, text));

/** How long ago it was read by what the table says; a clock that ran ahead of this one is not believed. */
const ageOf = (said: string | undefined, now: number) =>
  said === undefined ? 0 : Math.min(MAX_AGE_MS, Math.max(0, now - Date.parse(said)));

/** A reading measured elsewhere says nothing of its conditions: they are asked for on the sheet. */
function lineOf({ reading }: Required<Pick<ReadingRow, 'reading'>>, now: number): SentReading {
  const { place, part, station, angle, value_mm, typed, unit, instrument, standard_mm, resolution_mm, by } = reading;
  const { reportedBy, piece, at } = reading;
  // What was doubtful about it was asked for the table as a whole.
  const body = { unit, instrument, standard_mm, resolution_mm, by, reportedBy, piece, answers: {}, sure: true };
  return { id: nanoid(), kind: 'reading', place, part, station, angle, value_mm, typed, age_ms: ageOf(at, now), body };
}

/** Enters the rows that can be read, all of them or none; the doubtful ones only where it was said that they are so. */
export const importReadingsAction = shopAction(schema, ({ text, engineId, sure }, bench) => {
  const { shop, now } = bench;
  const fits = new Map(fitsFor(shop, engineId).map((fit) => [fit.id, fit]));
  const rows = rowsOf(bench, engineId, text).filter(({ doubt }) => sure || doubt === undefined);
  const read = rows.flatMap(({ reading }) => reading ?? []);
  for (const fit of fits.values()) {
    const own = read.filter(({ fitId }) => fitId === fit.id).map((reading) => lineOf({ reading }, now));
    if (own.length > 0) keepReadings(shop, fit, own, now);
  }
  const entered = read.length;
  return { entered };
});
