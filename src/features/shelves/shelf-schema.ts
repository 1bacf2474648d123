import { readVersion } from '@/model/versioned';
import { oneOf } from '@/model/one-of';
import Joi from 'joi';
import type { HousePractice } from '@/model/practice/house-practice';
import { PRACTICE_QUESTIONS } from '@/model/practice/practice-questions';
import { SHELF_KINDS, type ShelfKind } from '@/model/shelf/shelf-rows';

export const keepRowSchema = Joi.object<{ kind: ShelfKind; row: { id: string }; version: number }, true>({
  kind: oneOf(SHELF_KINDS).required(),
  row: Joi.object().unknown().required(),
  version: readVersion,
});

export const removeRowSchema = Joi.object<{ kind: ShelfKind; id: string; version: number }, true>({
  kind: oneOf(SHELF_KINDS).required(),
  id: Joi.string().required(),
  version: readVersion,
});

const rows = Object.fromEntries(
  PRACTICE_QUESTIONS.map(({ row, schools }) => [
    row,
    Joi.string()
      .valid(...schools.map(({ value }) => value))
      .allow(null),
  ]),
);

/** One answer, or several, of house practice; `null` takes an engine's own answer away. */
export const practiceSchema = Joi.object<
  {
    engineId: string | null;
    version: number;
    change: { readonly [Row in keyof HousePractice]?: HousePractice[Row] | null };
  },
  true
>({
  engineId: Joi.string().allow(null).default(null),
  version: readVersion,
  change: Joi.object(rows).min(1).required(),
});
