import { isSigned, readReading } from '@/core/fits';
import { DomainError } from '@/core/units';
import type { Fit, FitLine, ReadingLine } from '@/model/fit/fit';
import { validateLine } from '@/model/fit/fit-line-schema';
import { assertAsked, assertOfThisBore } from '@/model/fit/fit-reading';
import { fitState, kindOf } from '@/model/fit/fit-state';
import { contextOfFit } from '@/db/reads/fits-of-engine';
import type { Shop } from '@/db/shop';
import { nowIso } from '@/server/clock';
import { problemOf, problemOfThrown } from '@/server/run-action';
import { ok, type Result, fail } from '@/model/result';

const noFit = { code: 'not-found', message: 'That fit is not in this shop.' };

const standingOf = (shop: Shop, fit: Fit) => fitState(fit, shop.fits.lines(fit.id), contextOfFit(shop, fit));

function checkedReading(shop: Shop, fit: Fit, line: ReadingLine): ReadingLine {
  const { unit, standard_mm, piece } = line.body;
  const signed = isSigned(line.part);
  const value_mm = readReading({ typed: line.typed, unit, standard_mm: signed ? undefined : standard_mm, signed });
  assertAsked(fit, line, value_mm);
  if (piece !== undefined) assertOfThisBore(standingOf(shop, fit), line.place, piece);
  return { ...line, value_mm };
}

/** Refuses a line that cannot stand where the fit stands now, and reckons a reading anew from what was typed. @throws DomainError */
function checkedLine(shop: Shop, fit: Fit, line: FitLine): FitLine {
  if (line.place !== null && line.place >= fit.places.length)
    throw new DomainError('bad-field', 'The fit has no such place.', 'place');
  switch (line.kind) {
    case 'reading':
      return checkedReading(shop, fit, line);
    case 'accept': {
      const place = standingOf(shop, fit).places[line.place ?? 0];
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
    case 'strike':
      if (shop.fits.lines(fit.id).some(({ id, kind }) => id === line.strikes && kind !== 'strike')) return line;
      throw new DomainError('nothing-to-strike', 'There is no such line to strike.', 'strikes');
    default:
      return line;
  }
}

/** Writes one line of a fit; the answer comes only once it is on disk. The same line twice is one line. */
export function recordLine(
  shop: Shop,
  fitId: string,
  body: unknown,
): Result<{ readonly id: string; readonly isNew: boolean }> {
  const checked = validateLine(body);
  if (checked.error) return fail(problemOf(checked.error));
  try {
    const fit = shop.fits.find(fitId);
    if (!fit) return fail(noFit);
    return ok(
      shop.transaction(() => {
        if (shop.fits.lines(fitId).some(({ id }) => id === checked.value.id))
          return { id: checked.value.id, isNew: false };
        return {
          id: checked.value.id,
          isNew: shop.fits.record(fitId, checkedLine(shop, fit, checked.value), nowIso()),
        };
      }),
    );
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
}

/** Every line of a fit. */
export const linesOf = (shop: Shop, fitId: string): Result<readonly FitLine[]> =>
  shop.fits.find(fitId) ? ok(shop.fits.lines(fitId)) : fail(noFit);
