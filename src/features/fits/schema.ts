import { typedNumber } from '@/model/typed-number';
import { readVersion } from '@/model/versioned';
import { EXPANSIONS_UM_PER_MK } from '@/core/units';
import { FIT_KINDS, type Method, METHODS, RUNOUT_SENSES } from '@/core/fits';
import { oneOf } from '@/model/one-of';
import Joi from 'joi';
import type { Checked } from '@/core/units';

const id = Joi.string().min(1).max(60).required();
const idOrNone = Joi.string().max(60).allow('', null).empty(['', null]).default(null);
const typed = Joi.string().trim().max(60).allow('').default('');
const count = (label: string, most: number) =>
  typedNumber()
    .integer()
    .min(1)
    .max(most)
    .required()
    .label(label)
    .messages({ 'number.base': `Give ${label} as a whole number.` });
const kinds = FIT_KINDS.map((kind) => kind.id);

export interface ListFields {
  readonly engineId: string;
  readonly cylinders: number;
  readonly mains: number;
  readonly rings: number;
  readonly valves: number;
  readonly kinds: readonly string[];
}

export const listSchema = Joi.object<Checked<ListFields>, true>({
  engineId: id,
  cylinders: count('the cylinders', 16),
  mains: count('the main bearings', 12),
  rings: count('the rings of a piston', 6),
  valves: count('the valves', 64),
  kinds: Joi.array()
    .items(Joi.string().valid(...kinds))
    .min(1)
    .required()
    .messages({ 'array.min': 'Choose at least one fit.' }),
});

export interface OwnFitFields {
  readonly engineId: string;
  readonly kind: string;
  readonly name: string;
  readonly places: string;
  readonly stations: number;
  readonly angles: number;
}

export const ownFitSchema = Joi.object<OwnFitFields, true>({
  engineId: id,
  kind: Joi.string()
    .valid(...kinds)
    .required(),
  name: Joi.string().trim().max(80).required().messages({ 'string.empty': 'Give the fit a name.' }),
  places: Joi.string()
    .trim()
    .max(400)
    .required()
    .messages({ 'string.empty': 'Say where it is measured: “1” for one place, or names with commas between.' }),
  stations: count('the stations', 24),
  angles: count('the angles', 12),
});

/** What is wanted of a fit and how it is read, as typed. */
export interface FitFields {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly methods: readonly Method[];
  readonly stations: number;
  readonly angles: number;
  readonly jointId: string | null;
  readonly holds: readonly string[];
  readonly by: 'page' | 'rule' | 'own' | 'nothing';
  readonly leafId: string | null;
  readonly low: string;
  readonly high: string;
  readonly ruleLow: string;
  readonly ruleHigh: string;
  readonly floor: string;
  readonly softLow: string;
  readonly softHigh: string;
  readonly target: string;
  readonly as: 'reading' | 'eccentricity';
  readonly nominal: string;
  readonly packetName: string;
  readonly packetLow: string;
  readonly packetHigh: string;
  readonly innerMetal: string;
  readonly outerMetal: string;
}

const metal = Joi.string()
  .valid(...Object.keys(EXPANSIONS_UM_PER_MK))
  .default('steel');

export const fitSchema = Joi.object<Checked<FitFields>, true>({
  id,
  version: readVersion,
  name: Joi.string().trim().max(80).required().messages({ 'string.empty': 'Give the fit a name.' }),
  methods: Joi.array()
    .items(Joi.string().valid(...METHODS))
    .min(1)
    .required()
    .messages({ 'array.min': 'Choose how it is measured.' }),
  stations: count('the stations', 24),
  angles: count('the angles', 12),
  jointId: idOrNone,
  holds: Joi.array().items(Joi.string().max(60)).max(40).default([]),
  by: Joi.string().valid('page', 'rule', 'own', 'nothing').required(),
  leafId: idOrNone,
  low: typed,
  high: typed,
  ruleLow: typed,
  ruleHigh: typed,
  floor: typed,
  softLow: typed,
  softHigh: typed,
  target: typed,
  as: oneOf(RUNOUT_SENSES).default('reading'),
  nominal: typed,
  packetName: Joi.string().trim().max(80).allow('').default(''),
  packetLow: typed,
  packetHigh: typed,
  innerMetal: metal,
  outerMetal: metal,
});

export const correctedSchema = Joi.object<{ fitId: string; version: number }, true>({
  fitId: id,
  version: readVersion,
});

export interface DrawerFields {
  readonly fitId: string;
  readonly version: number;
  readonly family: string;
  readonly fitted: string;
  readonly crushLow: string;
  readonly crushHigh: string;
  readonly stack: number;
}

export const drawerSchema = Joi.object<DrawerFields, true>({
  fitId: id,
  version: readVersion,
  family: Joi.string()
    .trim()
    .max(80)
    .required()
    .messages({ 'string.empty': 'Name the family of shims: what they fit.' }),
  fitted: typed,
  crushLow: typed,
  crushHigh: typed,
  stack: count('the shims in one stack', 5),
});

export const shimSchema = Joi.object<
  {
    family: string;
    typed: string;
    count: number;
    /** The shims of the drawer as the sender saw them: their versions by id. */
    seen: Readonly<Record<string, number>>;
  },
  true
>({
  seen: Joi.object().pattern(Joi.string().max(60), readVersion).default({}),
  family: Joi.string().trim().max(80).required(),
  typed: Joi.string().trim().max(40).required().messages({ 'string.empty': 'Give its thickness with its unit.' }),
  count: typedNumber().integer().min(0).max(500).required().messages({
    'number.base': 'Say how many there are.',
    'number.min': 'Say how many there are: none or more.',
    'number.integer': 'Say how many there are, as a whole number.',
  }),
});

export const fitShimSchema = Joi.object<{ fitId: string; version: number; place: number; choice_mm: number[] }, true>({
  fitId: id,
  version: readVersion,
  place: typedNumber().integer().min(0).required(),
  choice_mm: Joi.array().items(typedNumber().greater(0).max(50)).min(1).max(5).required(),
});
