import Joi from 'joi';
import { DomainError } from '@/core/units';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import type { Shop } from '@/db/shop';
import type { Fit } from '@/model/fit/fit';
import { MAX_AGE_MS } from '@/model/line-age';
import { nowMs } from '@/server/clock';
import { inBits, pause } from '@/server/in-bits';
import { doubter } from './import-doubts';
import { readTable, type ReadingRow } from './readings-csv';
import { keepReadings, type SentReading } from './record-line';

// As many as are on disk before the next pull has waited a blink.
const BATCH = 100;

export const tableSchema = Joi.object<{ text: string; engineId: string; sure: boolean }, true>({
  text: Joi.string().max(5_000_000).required().messages({ 'string.empty': 'Paste the table, or choose its file.' }),
  engineId: Joi.string().required(),
  sure: Joi.boolean().default(false),
});

export interface Entry {
  readonly entered: number;
  readonly total: number;
}

/** The rows of a table as they would be entered. @throws DomainError */
export async function rowsOfTable(shop: Shop, engineId: string, text: string): Promise<readonly ReadingRow[]> {
  const fits = shop.fits.ofEngine(engineId);
  if (fits.length === 0)
    throw new DomainError(
      'bad-field',
      'This engine has no fit yet: make them first, so that the readings have a place.',
      'text',
    );
  const lines = shop.fits.linesOfEngine(engineId);
  const { records, rowOf } = readTable(text, fits, lines);
  const rows = await inBits(records, rowOf);
  return inBits(
    rows,
    doubter(rows, fits, lines, (fit) => contextOfFit(shop, fit)),
  );
}

/** How long ago it was read by what the table says; a clock that ran ahead of this one is not believed. */
const ageOf = (said: string | undefined, now: number) =>
  said === undefined ? 0 : Math.min(MAX_AGE_MS, Math.max(0, now - Date.parse(said)));

type Read = NonNullable<ReadingRow['reading']>;

/** A reading measured elsewhere says nothing of its conditions: they are asked for on the sheet. */
function lineOf(reading: Read, now: number): SentReading {
  const { id, place, part, station, angle, value_mm, typed, unit, instrument, standard_mm, resolution_mm } = reading;
  const { by, reportedBy, piece, at } = reading;
  // What was doubtful about it was asked for the table as a whole.
  const body = { unit, instrument, standard_mm, resolution_mm, by, reportedBy, piece, answers: {}, sure: true };
  return { id, kind: 'reading', place, part, station, angle, value_mm, typed, age_ms: ageOf(at, now), body };
}

function enterBatch(shop: Shop, fits: ReadonlyMap<string, Fit>, batch: readonly Read[]): void {
  const now = nowMs();
  shop.transaction(() => {
    for (const fit of fits.values()) {
      const own = batch.filter(({ fitId }) => fitId === fit.id).map((reading) => lineOf(reading, now));
      if (own.length > 0) keepReadings(shop, fit, own, now);
    }
  });
}

/**
 * Enters the rows that can be read, the doubtful ones only where it was said that they are so, and says after each
 * batch how far it has come. Between two batches others are served; whoever stops asking stops it, and what was entered
 * stays: the same table read in again goes on from there.
 * @throws DomainError
 */
export async function* enterReadings(
  shop: Shop,
  { text, engineId, sure }: { readonly text: string; readonly engineId: string; readonly sure: boolean },
  who = '',
): AsyncGenerator<Entry, Entry> {
  const rows = (await rowsOfTable(shop, engineId, text)).filter(({ doubt }) => sure || doubt === undefined);
  const read = rows.flatMap(({ reading }) => reading ?? []);
  const fits = new Map(shop.fits.ofEngine(engineId).map((fit) => [fit.id, fit]));
  const total = read.length;
  for (let entered = 0; entered < total; entered += BATCH) {
    yield { entered, total };
    await pause();
    shop.inNameOf(who, () => enterBatch(shop, fits, read.slice(entered, entered + BATCH)));
  }
  return { entered: total, total };
}
