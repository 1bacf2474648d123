import Joi from 'joi';
import { SHELF_FILMS } from '@/core/film';
import { MOST_FASTENERS, type StageScheme } from '@/core/tightening';
import type { Joint } from '@/db/repositories/joint-repository';

/** What a person sets of a joint. */
export type JointFields = Omit<Joint, 'createdAt'>;
export type NewJointFields = Omit<Joint, 'id' | 'createdAt' | 'bearingOuterMm' | 'bearingInnerMm' | 'bearingMeasured' | 'originalFilmReason'>;

const films = SHELF_FILMS.map((film) => film.id);
const scheme = Joi.alternatives<StageScheme>(
  Joi.string().valid('halves', 'thirds', 'quarters'),
  Joi.array().items(Joi.number().greater(0).max(1)).min(1).max(8),
);

const fields = {
  engineId: Joi.string().required(),
  leafId: Joi.string().required().messages({ 'string.empty': 'Choose the leaf that the figure is on.' }),
  name: Joi.string().trim().max(80).required().label('the name').messages({ 'string.empty': 'Give the joint a name.' }),
  pattern: Joi.string().valid('rows', 'ring', 'caps').required(),
  fasteners: Joi.number().integer().min(1).max(MOST_FASTENERS).required().label('the number of fasteners').messages({ 'number.base': 'Say how many fasteners there are.' }),
  thread: Joi.string().trim().max(40).required().label('the thread').messages({ 'string.empty': 'Give the thread, such as 3/8 BSF or M8.' }),
  originalFilm: Joi.string().valid(...films).required(),
  todayFilm: Joi.string().valid(...films).required(),
  rangeSchool: Joi.string().valid('low', 'middle', 'top').required(),
  stageScheme: scheme.required(),
  orderSchool: Joi.string().valid('centre-out', 'spiral', 'star').required(),
  unitOfWork: Joi.string().valid('row', 'each').required(),
  turnShaft: Joi.boolean().required(),
  wrenchId: Joi.string().required().messages({ 'string.empty': 'Choose the wrench.' }),
  retorqueSchool: Joi.string().valid('slacken', 'straight', 'warm', 'none').required(),
}; // prettier-ignore

export const newJointSchema = Joi.object<NewJointFields>(fields);

export const jointSchema = Joi.object<JointFields>({
  ...fields,
  id: Joi.string().required(),
  bearingOuterMm: Joi.number().positive().max(200).required().label('the outside of the face'),
  bearingInnerMm: Joi.number().positive().max(200).required().label('the hole of the face'),
  bearingMeasured: Joi.boolean().required(),
  originalFilmReason: Joi.string().max(200).required(),
});

export const startSchema = Joi.object<{ jointId: string; purpose: 'final' | 'trial' }>({
  jointId: Joi.string().required(),
  purpose: Joi.string().valid('final', 'trial').default('final'),
});
