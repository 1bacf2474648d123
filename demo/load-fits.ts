import { cellGroups, type Answers, type Part } from '@/core/fits';
import { READING_UNITS_MM, type ReadingUnit } from '@/core/units';
import type { Fit, FitLine, ReadingBody, Shim } from '@/model/fit/fit';
import { planOfFit } from '@/model/fit/kind-of-fit';
import type { EngineMeasure, EngineMeasures, MeasureKind } from '@/model/engine/engine-measure';
import type { Shop } from '@/db/shop';

/** Readings of one part as they were called out: a list a place, in the order of its cells. */
export interface YardReadings extends Pick<ReadingBody, 'instrument' | 'resolution_mm' | 'by' | 'reportedBy'> {
  readonly part: Part;
  readonly unit: ReadingUnit;
  readonly answers: Answers;
  readonly minutesAgo: number;
  readonly values: readonly (readonly number[])[];
}

type YardLine<L = FitLine> = L extends FitLine
  ? Omit<L, 'id' | 'at' | 'recordedAt'> & { readonly minutesAgo: number }
  : never;

export interface YardFit extends Omit<Fit, 'engineId' | 'createdAt' | 'leafId' | 'detail' | 'version'> {
  readonly leafId?: string;
  readonly detail?: Fit['detail'];
  readonly readings: readonly YardReadings[];
  readonly lines?: readonly YardLine[];
}

export type YardSheets = { readonly [K in MeasureKind]?: EngineMeasures[K] };
export type YardShim = Omit<Shim, 'id' | 'createdAt' | 'version'>;

type Before = (minutesAgo: number) => string;

const DECIMALS: Readonly<Record<ReadingUnit, number>> = { mm: 3, µm: 0, in: 4, thou: 1, '0.0001 in': 0 };

function loadReadings(shop: Shop, fit: Fit, yard: YardReadings, before: Before): void {
  const { part, unit, minutesAgo, values, answers, ...rest } = yard;
  const cells = cellGroups(planOfFit(fit)).flat().filter((cell) => cell.part === part); // prettier-ignore
  const at = before(minutesAgo);
  values.forEach((own, place) =>
    own.forEach((value, i) => {
      const cell = cells[i];
      if (!cell) throw new Error(`${fit.id} asks for fewer readings of ${part} than the yard has`);
      const value_mm = Number((value * READING_UNITS_MM[unit]).toPrecision(12));
      const line: FitLine = {
        ...cell,
        id: `${fit.id}-${part}-${place}-${i}`,
        kind: 'reading',
        place,
        value_mm,
        typed: value.toFixed(DECIMALS[unit]),
        at,
        body: { ...rest, unit, answers },
      };
      shop.fits.record(fit.id, line, at);
    }),
  );
}

/** A fit of the yard with its readings and what was decided on them. */
export function loadFit(shop: Shop, engineId: string, yard: YardFit, before: Before): void {
  const { readings, lines = [], leafId = null, detail = {}, ...fields } = yard;
  const fit: Fit = {
    ...fields,
    engineId,
    leafId,
    detail,
    version: 1,
    createdAt: before(40_000 - shop.fits.ofEngine(engineId).length),
  };
  shop.fits.add(fit);
  for (const one of readings) loadReadings(shop, fit, one, before);
  lines.forEach(({ minutesAgo, ...line }, i) => {
    const at = before(minutesAgo);
    shop.fits.record(fit.id, { ...line, id: `${fit.id}-line-${i}`, at }, at);
  });
}

export function loadSheets(shop: Shop, engineId: string, sheets: YardSheets, before: Before): void {
  (Object.keys(sheets) as MeasureKind[]).forEach((kind, i) => {
    const sheet = {
      id: `${engineId}-${kind}`,
      engineId,
      kind,
      body: sheets[kind],
      at: before(22_000 - i),
    } as EngineMeasure;
    shop.measures.add(sheet);
  });
}

export const loadShims = (shop: Shop, shims: readonly YardShim[], before: Before): void =>
  shims.forEach((shim, i) => shop.shims.add({ ...shim, id: `demo-shim-${i}`, version: 1, createdAt: before(60_000) }));
