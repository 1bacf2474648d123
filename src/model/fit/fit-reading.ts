import { cellGroups, cellKey, type Cell } from '@/core/fits';
import { DomainError } from '@/core/units';
import type { Fit } from './fit';
import { kindOf, planOfFit } from './kind-of-fit';
import type { FitState, FitPlace } from './place-state';

const SLACK_MM = 1e-9;

/** @throws DomainError where the fit asks for no such reading, or a strip was read that is not of its packet */
export function assertAsked(fit: Fit, cell: Cell, value_mm: number): void {
  const asked = cellGroups(planOfFit(fit)).flat();
  if (!asked.some((one) => cellKey(one) === cellKey(cell)))
    throw new DomainError(
      'bad-field',
      `${fit.name} asks for no such reading: ${cell.part}, station ${cell.station + 1}, angle ${cell.angle + 1}.`,
      'part',
    );
  const { packet } = fit.detail;
  if (
    cell.part === 'strip' &&
    packet &&
    !(value_mm >= packet.min_mm - SLACK_MM && value_mm <= packet.max_mm + SLACK_MM)
  )
    throw new DomainError(
      'outside-packet',
      `The packet reads ${packet.min_mm} to ${packet.max_mm} mm; ${Number(value_mm.toFixed(4))} mm is not on it. Take the strip for that range.`,
      'typed',
    );
}

/** `Bore 1` of `Bore 1, ring 2`. */
/** The bore that a place belongs to: what stands before the comma of its name. */
export const boreOf = (place: string) => place.split(',')[0]?.trim().toLowerCase();

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The place in another bore that a marked part was fitted to, by readings that were not struck. */
export function fittedElsewhere(
  { places }: Pick<FitState, 'places'>,
  place: number,
  piece: string,
): FitPlace | undefined {
  const here = boreOf(places[place]?.name ?? '');
  return places.find(
    ({ name, current, beneath }) =>
      boreOf(name) !== here &&
      [...current.values(), ...beneath].some(({ body }) => body.piece !== undefined && same(body.piece, piece)),
  );
}

/** @throws DomainError where the part that is marked so was fitted to another bore */
export function assertOfThisBore(judged: FitState, place: number, piece: string | undefined): void {
  const elsewhere = piece === undefined ? undefined : fittedElsewhere(judged, place, piece);
  if (!elsewhere) return;
  const called = kindOf(judged.fit).piece ?? 'Part';
  throw new DomainError(
    'of-another-bore',
    `${called} ${piece} was fitted to ${elsewhere.name}. It stays with its own bore; if that reading was a slip, undo it first.`,
    'piece',
  );
}
