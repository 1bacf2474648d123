import { DomainError, assertFinite, wrongInput } from '@/core/units';

export interface NextSlotInput {
  /** Slots, evenly round the nut. */
  readonly slots: number;
  /** Drillings across the stud: one has two mouths, two at right angles four. */
  readonly holes: number;
  /** From a mouth back to the last slot that passed it. */
  readonly slot_deg: number;
}

const ROUNDING_DEG = 1e-9;
const MOST_SLOTS = 36;
const MOST_HOLES = 6;

function assertCount(value: number, most: number, field: string): void {
  assertFinite(value, field);
  if (!Number.isInteger(value) || value < 1 || value > most)
    throw wrongInput(field, `must be a whole number from 1 to ${most}, got ${value}.`);
}

/**
 * How much further on the next slot meets a hole: 0 where one does already. Never back.
 * Slots stand every p = 360/slots, mouths every 180/holes: the least of (mouth − slot) mod p.
 * @throws DomainError bad-field
 */
export function nextSlot({ slots, holes, slot_deg }: NextSlotInput): { readonly turn_deg: number } {
  assertCount(slots, MOST_SLOTS, 'slots');
  assertCount(holes, MOST_HOLES, 'holes');
  assertFinite(slot_deg, 'slot_deg');
  const period = 360 / slots;
  if (slot_deg < 0 || slot_deg >= period)
    throw new DomainError(
      'bad-field',
      `A slot lies from 0 to below ${Number(period.toFixed(2))}° past the hole: there the next one comes. ${slot_deg}° is not.`,
      'slot_deg',
    );
  const turns = Array.from({ length: 2 * holes }, (_, mouth) => {
    const turn = ((((mouth * 180) / holes - slot_deg) % period) + period) % period;
    return period - turn < ROUNDING_DEG || turn < ROUNDING_DEG ? 0 : turn;
  });
  return { turn_deg: Math.min(...turns) };
}
