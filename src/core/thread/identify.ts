import { INCH_MM, DomainError, assertPositive, type Note } from '@/core/units';
import { threadForm } from './forms';
import { THREAD_ROWS } from './read-thread';
import type { ThreadRow, ThreadSeries } from './thread';

/** What a caliper and a pitch gauge say of a thread. */
export interface ThreadMeasured {
  readonly major_mm: number;
  readonly pitch_mm?: number;
  /** Threads to the inch, where the gauge is marked so. */
  readonly tpi?: number;
  /** How far the measured diameter may lie from the nominal one. */
  readonly tolerance_mm?: number;
}

export interface ThreadCandidate {
  readonly designation: string;
  readonly series: ThreadSeries;
  /** Measured less nominal. */
  readonly majorError_mm: number;
  /** Measured less nominal; absent where no pitch was given. */
  readonly pitchError_mm?: number;
}

export interface Identification {
  readonly candidates: readonly ThreadCandidate[];
  readonly notes: readonly Note[];
}

// A worn bolt measures a tenth or two under its name; two neighbouring sizes lie further apart than this.
const DIAMETER_TOLERANCE_MM = 0.3;
// One leaf of a pitch gauge cannot be told from the next within this: 26 to the inch seems 1 mm.
const PITCH_TOLERANCE = 0.04;

interface Scored extends ThreadCandidate {
  readonly row: ThreadRow;
  readonly score: number;
}

function pitchOf({ pitch_mm, tpi }: ThreadMeasured): number | undefined {
  if (pitch_mm !== undefined && tpi !== undefined)
    throw new DomainError('bad-field', 'Give the pitch or the threads per inch, not both: one gauge was used.', 'tpi');
  if (pitch_mm !== undefined) assertPositive(pitch_mm, 'pitch_mm');
  if (tpi !== undefined) assertPositive(tpi, 'tpi');
  return pitch_mm ?? (tpi === undefined ? undefined : INCH_MM / tpi);
}

function score(row: ThreadRow, major_mm: number, pitch: number | undefined, tolerance: number): Scored | undefined {
  const majorError_mm = major_mm - row.major_mm;
  const pitchError_mm = pitch === undefined ? undefined : pitch - row.pitch_mm;
  const away = Math.abs(majorError_mm) / tolerance;
  const off = Math.abs(pitchError_mm ?? 0) / (row.pitch_mm * PITCH_TOLERANCE);
  if (away > 1 + 1e-9 || off > 1 + 1e-9) return undefined;
  const rarity = row.usual ? 0 : 0.001;
  const found = {
    designation: row.designation,
    series: row.series,
    majorError_mm,
    row,
    score: away ** 2 + off ** 2 + rarity,
  };
  return pitchError_mm === undefined ? found : { ...found, pitchError_mm };
}

const sameMeasure = (a: ThreadRow, b: ThreadRow) =>
  Math.abs(a.major_mm - b.major_mm) < 0.02 && Math.abs(a.pitch_mm - b.pitch_mm) < 0.005;
const sameForm = (a: ThreadRow, b: ThreadRow) => threadForm(a.series) === threadForm(b.series);

function notesFor(found: readonly Scored[], pitchGiven: boolean): readonly Note[] {
  const [best, ...others] = found;
  if (!best)
    return [
      { code: 'no-candidate', message: 'No thread known here measures so. Measure again, or allow a wider tolerance.' },
    ];
  const names = others.slice(0, 3).map((other) => other.designation);
  const notes: Note[] = [];
  if (others.length > 0)
    notes.push({
      code: 'look-alike',
      message: `${best.designation} is easily taken for ${names.join(', ')}. Try a known nut by hand before any force.`,
    });
  const twin = pitchGiven
    ? others.find((other) => sameMeasure(other.row, best.row) && !sameForm(other.row, best.row))
    : undefined;
  if (twin)
    notes.push({
      code: 'needs-profile-gauge',
      message: `${best.designation} and ${twin.designation} agree in diameter and pitch and differ in form: only a profile gauge, or the mark on the head, tells them apart.`,
    });
  return notes;
}

/**
 * Names a thread from its measured diameter and pitch, best first; `own` are threads of the shop beside the tables'.
 * @throws DomainError bad-field
 * @example identifyThread({ major_mm: 9.45, tpi: 20 }).candidates[0] // 3/8 BSF
 */
export function identifyThread(measured: ThreadMeasured, own: readonly ThreadRow[] = []): Identification {
  assertPositive(measured.major_mm, 'major_mm');
  const tolerance = measured.tolerance_mm ?? DIAMETER_TOLERANCE_MM;
  assertPositive(tolerance, 'tolerance_mm');
  const pitch = pitchOf(measured);
  const found = [...THREAD_ROWS, ...own]
    .flatMap((row) => score(row, measured.major_mm, pitch, tolerance) ?? [])
    .sort((a, b) => a.score - b.score);
  return {
    candidates: found.map(({ row: _row, score: _score, ...candidate }) => candidate),
    notes: notesFor(found, pitch !== undefined),
  };
}

/** Threads whose hexagon takes a spanner of this size, mm across flats. */
export function threadsForSpanner(
  flats_mm: number,
  tolerance_mm = 0.2,
): readonly { readonly row: ThreadRow; readonly standard: string }[] {
  assertPositive(flats_mm, 'flats_mm');
  return THREAD_ROWS.flatMap((row) => {
    const hexagon = row.acrossFlats_mm?.find(({ mm }) => Math.abs(mm - flats_mm) <= tolerance_mm);
    return hexagon ? [{ row, standard: hexagon.standard }] : [];
  });
}
