import Joi from 'joi';
import {
  at20C,
  bearingSize,
  clearance,
  compression,
  displacement,
  endFloat,
  feelers,
  matchPieces,
  matchRods,
  ringGap,
  shims,
  type ClearanceInput,
  type CompressionInput,
  type FloatReading,
  type Limits,
  type RodWeight,
  type ShimInput,
} from '@/core/fits';
import { DomainError, type Checked } from '@/core/units';
import { number, op, withNotes } from '../op';

const grid = Joi.array().items(Joi.array().items(number())).required();
const limits = Joi.object({ min_mm: number().required(), max_mm: number().required() });
const numbers = Joi.array().items(number()).required();
const pair = Joi.array().items(number()).length(2);

interface SizeFields {
  readonly measured_mm: number;
  readonly standard_mm: number;
  readonly steps_mm: readonly number[];
  readonly kind: 'journal' | 'housing';
  readonly tolerance_mm: number;
}

interface WeightFields {
  readonly rods?: readonly RodWeight[];
  readonly pieces_g?: readonly number[];
  readonly tolerance_g: number;
}

function matchWeights({ rods, pieces_g, tolerance_g }: WeightFields): { readonly result: object } {
  if (rods && pieces_g) throw new DomainError('bad-field', 'Give rods or pieces_g, not both.', 'pieces_g');
  if (rods) return { result: matchRods(rods, tolerance_g) };
  if (pieces_g) return { result: matchPieces(pieces_g, tolerance_g) };
  throw new DomainError('missing-field', 'The field rods is missing; or give pieces_g.', 'rods');
}

interface GapWanted extends Partial<Limits> {
  readonly perBore?: readonly [number, number];
}

function wantedGap({ min_mm, max_mm, perBore }: GapWanted): Parameters<typeof ringGap>[2] {
  if (perBore && (min_mm !== undefined || max_mm !== undefined))
    throw new DomainError('bad-field', 'Give min_mm and max_mm, or perBore, not both.', 'wanted.perBore');
  if (perBore) return { perBore };
  if (min_mm === undefined)
    throw new DomainError('missing-field', 'The field wanted.min_mm is missing; or give perBore.', 'wanted.min_mm');
  if (max_mm === undefined)
    throw new DomainError('missing-field', 'The field wanted.max_mm is missing; or give perBore.', 'wanted.max_mm');
  return { min_mm, max_mm };
}

export const fitsOps = {
  clearance: op(
    Joi.object<Checked<Omit<ClearanceInput, 'names'>>, true>({
      journal: grid,
      bore: grid,
      limits,
      rule: Joi.object({ perDiameter: pair.required(), floor_mm: number() }),
      resolution_mm: number(),
      boreResolution_mm: number(),
    }),
    (fields) => ({ result: clearance(fields) }),
  ),
  feelers: op(
    Joi.object<{ goes_mm: number[]; stops_mm: number[] }, true>({ goes_mm: numbers, stops_mm: numbers }),
    ({ goes_mm, stops_mm }) => ({
      result: feelers(goes_mm, stops_mm),
    }),
  ),
  'end-float': op(
    Joi.object<{ readings_mm: FloatReading[]; limits?: Limits; resolution_mm?: number }, true>({
      readings_mm: Joi.array()
        .items(Joi.object({ push: number().required(), pull: number().required() }))
        .required(),
      limits,
      resolution_mm: number(),
    }),
    (fields) => ({ result: endFloat(fields.readings_mm, fields.limits, fields.resolution_mm) }),
  ),
  shims: op(
    Joi.object<Checked<ShimInput>, true>({
      float_mm: number().required(),
      fitted_mm: number().required(),
      wanted: limits.keys({ target_mm: number() }).required(),
      crush: limits,
      stock_mm: numbers,
      stack: number(),
      shimTolerance_mm: number(),
    }),
    (fields) => withNotes(shims(fields)),
  ),
  'ring-gap': op(
    Joi.object<{ bore_mm: number; gap_mm: number; wanted: GapWanted }, true>({
      bore_mm: number().required(),
      gap_mm: number().required(),
      wanted: Joi.object({ min_mm: number(), max_mm: number(), perBore: pair }).required(),
    }),
    ({ bore_mm, gap_mm, wanted }) => ({ result: ringGap(bore_mm, gap_mm, wantedGap(wanted)) }),
  ),
  displacement: op(
    Joi.object<{ bore_mm: number; stroke_mm: number; cylinders: number; overbore_mm?: number }, true>({
      bore_mm: number().required(),
      stroke_mm: number().required(),
      cylinders: number().required(),
      overbore_mm: number(),
    }),
    (fields) => ({ result: displacement(fields.bore_mm, fields.stroke_mm, fields.cylinders, fields.overbore_mm) }),
  ),
  compression: op(
    Joi.object<CompressionInput, true>({
      bore_mm: number().required(),
      stroke_mm: number().required(),
      chamber_cc: number().required(),
      gasket: Joi.object({ bore_mm: number().required(), thickness_mm: number().required() }).required(),
      deck_mm: number().required(),
      crown_cc: number().required(),
    }),
    (fields) => ({ result: compression(fields) }),
  ),
  'match-weights': op(
    Joi.object<Checked<WeightFields>, true>({
      rods: Joi.array().items(Joi.object({ big_g: number().required(), small_g: number().required() })),
      pieces_g: Joi.array().items(number()),
      tolerance_g: number().required(),
    }),
    matchWeights,
  ),
  'bearing-size': op(
    Joi.object<Checked<SizeFields>, true>({
      measured_mm: number().required(),
      standard_mm: number().required(),
      steps_mm: numbers,
      kind: Joi.string().valid('journal', 'housing').required(),
      tolerance_mm: number().required(),
    }),
    (fields) => ({
      result: bearingSize(fields.measured_mm, fields.standard_mm, fields.steps_mm, fields.kind, fields.tolerance_mm),
    }),
  ),
  'at-20C': op(
    Joi.object<
      {
        length_mm: number;
        expansion_um_per_mK: number;
        measuredAt_C: number;
        gaugeExpansion_um_per_mK?: number;
      },
      true
    >({
      length_mm: number().required(),
      expansion_um_per_mK: number().required(),
      measuredAt_C: number().required(),
      gaugeExpansion_um_per_mK: number(),
    }),
    (fields) => ({
      result: {
        length_mm: at20C(
          fields.length_mm,
          fields.expansion_um_per_mK,
          fields.measuredAt_C,
          fields.gaugeExpansion_um_per_mK,
        ),
      },
    }),
  ),
};
