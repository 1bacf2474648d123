import { isSigned, readReading } from '@/core/fits';
import { DomainError } from '@/core/units';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import type { Shop } from '@/db/shop';
import type { Fit, FitLine } from '@/model/fit/fit';
import { validateLine, type SentLine } from '@/model/fit/fit-line-schema';
import { assertAsked, assertOfThisBore, boreOf } from '@/model/fit/fit-reading';
import { cancelledIn } from '@/model/fit/fit-fold';
import { fitState } from '@/model/fit/fit-state';
import { kindOf } from '@/model/fit/kind-of-fit';
import type { FitState } from '@/model/fit/place-state';
import { doubtsOf } from '@/model/fit/reading-doubts';
import { madeAt, type Recorded } from '@/model/line-age';
import { fail, ok, type Result } from '@/model/result';
import { assertSameLine } from '@/model/same-line';
import { assertWorkedWith } from '@/server/assert-worked-with';
import { nowMs } from '@/server/clock';
import { problemOf, problemOfThrown } from '@/server/problem';

// Where the sender does not say how finely its instrument reads.
const USUAL_RESOLUTION_MM = 0.01;

const noFit = { code: 'not-found', message: 'That fit is not in this shop.' };

const stateOf = (shop: Shop, fit: Fit): FitState => fitState(fit, shop.fits.lines(fit.id), contextOfFit(shop, fit));

export type SentReading = Extract<SentLine, { kind: 'reading' }>;

/**
 * Asked here as on the sheet: whoever sends a doubtful reading has to say that it is so. @throws DomainError doubtful
 */
function assertSure(state: FitState, line: SentReading, value_mm: number): void {
  if (line.body.sure) return;
  const resolution_mm = line.body.resolution_mm ?? USUAL_RESOLUTION_MM;
  const doubts = doubtsOf(state, line, value_mm, resolution_mm);
  if (doubts.length > 0)
    throw new DomainError(
      'doubtful',
      `${doubts.map(({ message }) => message).join(' ')} Say yes, or read it again.`,
      'typed',
    );
}

function checkedReading(shop: Shop, fit: Fit, line: SentReading): SentReading {
  const { unit, standard_mm, piece } = line.body;
  const signed = isSigned(line.part);
  const value_mm = readReading({ typed: line.typed, unit, standard_mm: signed ? undefined : standard_mm, signed });
  assertAsked(fit, line, value_mm);
  const state = stateOf(shop, fit);
  assertSure(state, line, value_mm);
  if (piece !== undefined) assertOfThisBore(state, line.place, piece);
  return { ...line, value_mm };
}

/** A line that is there and was not cancelled; one that cancels may be cancelled itself, and what it took comes back. */
const isStanding = (lines: readonly FitLine[], wanted: string): boolean =>
  lines.some(({ id }) => id === wanted) && !cancelledIn(lines).has(wanted);

/**
 * Refuses a line that cannot stand where the fit stands now, and reckons a reading anew from what was typed. @throws
 * DomainError
 */
function checkedLine(shop: Shop, fit: Fit, line: SentLine): SentLine {
  if (line.place !== null && line.place >= fit.places.length)
    throw new DomainError('bad-field', 'The fit has no such place.', 'place');
  switch (line.kind) {
    case 'reading':
      return checkedReading(shop, fit, line);
    case 'accept': {
      const place = stateOf(shop, fit).places[line.place ?? 0];
      if (place && ['improve', 'too-close', 'accepted'].includes(place.state)) return line;
      throw new DomainError(
        'nothing-to-accept',
        'Only what lies inside its hard limits can be accepted. What is out is put right and read again.',
        'place',
      );
    }
    case 'remedy':
      if (kindOf(fit).remedies.includes(line.body.remedy)) return line;
      throw new DomainError('bad-field', 'That remedy does nothing for this fit.', 'remedy');
    case 'strip-in':
      if ('strip' in kindOf(fit).conditions) return line;
      throw new DomainError('bad-field', 'No strip is laid in for this fit.', 'kind');
    case 'strike':
      if (isStanding(shop.fits.lines(fit.id), line.strikes)) return line;
      throw new DomainError('nothing-to-strike', 'There is no such line to undo.', 'strikes');
    default:
      return line;
  }
}

/** A reading is reckoned anew from what was typed: what the sender made of it decides nothing. */
const asSent = (line: object): object => ({ ...line, value_mm: undefined });

/** @throws DomainError id-taken */
function assertKnown(
  fit: Fit,
  { fitId, line }: { readonly fitId: string; readonly line: FitLine },
  { age_ms: _, ...sent }: SentLine,
): Recorded {
  assertSameLine({ ...asSent(line), of: fitId }, { ...asSent(sent), of: fit.id });
  return { id: line.id, isNew: false, at: line.at, recordedAt: line.recordedAt ?? line.at };
}

/** Writes a line that was made so long ago. The same line twice is one line. @throws DomainError */
export function keepLine(shop: Shop, fit: Fit, sent: SentLine, now: number): Recorded {
  return shop.transaction(() => {
    const known = shop.fits.line(sent.id);
    if (known) return assertKnown(fit, known, sent);
    assertWorkedWith(shop, 'fit', fit.id);
    const { age_ms, ...line } = checkedLine(shop, fit, sent);
    const times = { at: madeAt(age_ms, now), recordedAt: new Date(now).toISOString() };
    const isNew = shop.fits.record(fit.id, { ...line, at: times.at }, times.recordedAt);
    return { id: sent.id, isNew, ...times };
  });
}

/**
 * Writes readings of one fit that were looked through already, doubts and all: what the fit holds is read once, however
 * many they are.
 * @throws DomainError
 */
export function keepReadings(shop: Shop, fit: Fit, readings: readonly SentReading[], now: number): void {
  const before = readings.some(({ body }) => body.piece !== undefined) ? stateOf(shop, fit) : undefined;
  const boreOfPiece = new Map<string, string | undefined>();
  for (const { age_ms, ...line } of readings) {
    const { unit, standard_mm, piece } = line.body;
    const signed = isSigned(line.part);
    const value_mm = readReading({ typed: line.typed, unit, standard_mm: signed ? undefined : standard_mm, signed });
    assertAsked(fit, line, value_mm);
    if (before && piece !== undefined) {
      assertOfThisBore(before, line.place, piece);
      assertOfOneBore(boreOfPiece, fit.places[line.place] ?? '', piece);
    }
    shop.fits.record(fit.id, { ...line, value_mm, at: madeAt(age_ms, now) }, new Date(now).toISOString());
  }
}

/** The marked part of one bore does not stand in another of the same table. @throws DomainError of-another-bore */
function assertOfOneBore(known: Map<string, string | undefined>, place: string, piece: string): void {
  const bore = boreOf(place);
  if (known.has(piece) && known.get(piece) !== bore)
    throw new DomainError(
      'of-another-bore',
      `${piece} stands in the table in ${known.get(piece) ?? ''} and in ${bore ?? ''}: it stays with one bore.`,
      'piece',
    );
  known.set(piece, bore);
}

/** Writes one line of a fit; the answer comes only once it is on disk. */
export function recordLine(shop: Shop, fitId: string, body: unknown): Result<Recorded> {
  const checked = validateLine(body);
  if (checked.error) return fail(problemOf(checked.error));
  try {
    const fit = shop.fits.find(fitId);
    return fit ? ok(keepLine(shop, fit, checked.value, nowMs())) : fail(noFit);
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
}

/** Every line of a fit. */
export const linesOf = (shop: Shop, fitId: string): Result<readonly FitLine[]> =>
  shop.fits.find(fitId) ? ok(shop.fits.lines(fitId)) : fail(noFit);
