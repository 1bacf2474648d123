import { oneOf } from '@/model/one-of';
import Joi from 'joi';
import { PRACTICE_QUESTIONS, type HousePractice } from '@/model/practice/house-practice';
import { SHELF_KINDS, type ShelfKind } from '@/model/shelf/shelf-rows';

export const keepRowSchema = Joi.object<{ kind: ShelfKind; row: { id: string } }>({
  kind: oneOf(SHELF_KINDS).required(),
  row: Joi.object().unknown().required(),
});

export const removeRowSchema = Joi.object<{ kind: ShelfKind; id: string }>({
  kind: oneOf(SHELF_KINDS).required(),
  id: Joi.string().required(),
});

const rows = Object.fromEntries(
  PRACTICE_QUESTIONS.map(({ row, schools }) => [row, Joi.string().valid(...schools.map(({ value }) => value))]),
);

export const practiceSchema = Joi.object<{ engineId: string | null; practice: Partial<HousePractice> }>({
  engineId: Joi.string().allow(null).default(null),
  practice: Joi.object(rows).required(),
});
