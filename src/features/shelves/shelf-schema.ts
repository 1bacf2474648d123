import Joi from 'joi';
import { PRACTICE_QUESTIONS, type HousePractice } from '@/core/joint';
import type { ShelfKind } from '@/model/shelf/shelf-rows';

export const keepRowSchema = Joi.object<{ kind: ShelfKind; row: { id: string } }>({
  kind: Joi.string().valid('film', 'grade', 'metal', 'thread').required(),
  row: Joi.object().unknown().required(),
});

export const removeRowSchema = Joi.object<{ kind: ShelfKind; id: string }>({
  kind: Joi.string().valid('film', 'grade', 'metal', 'thread').required(),
  id: Joi.string().required(),
});

const rows = Object.fromEntries(
  PRACTICE_QUESTIONS.map(({ row, schools }) => [row, Joi.string().valid(...schools.map(({ value }) => value))]),
);

export const practiceSchema = Joi.object<{ engineId: string | null; practice: Partial<HousePractice> }>({
  engineId: Joi.string().allow(null).default(null),
  practice: Joi.object(rows).required(),
});
