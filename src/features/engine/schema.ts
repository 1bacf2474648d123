import { typedNumber } from '@/model/typed-number';
import { SHOP_NAMES, type ShopName } from '@/server/shop-file';
import { readVersion } from '@/model/versioned';
import { oneOf } from '@/model/one-of';
import Joi from 'joi';
import { HEAD_METALS, type HeadMetal } from '@/core/heat';
import { ENGINE_KINDS, type EngineKind } from '@/model/engine/engine';
import { TORQUE_UNITS, type TorqueUnit } from '@/core/units';

export interface EngineFields {
  readonly name: string;
  readonly kind: EngineKind;
  readonly year: number | null;
  readonly engineNumber: string;
  readonly headMetal: HeadMetal;
  readonly blockMetal: HeadMetal;
  readonly preferredUnit: TorqueUnit;
}

const metal = (label: string) => oneOf(HEAD_METALS).required().label(label);

export const engineSchema = Joi.object<EngineFields, true>({
  name: Joi.string()
    .trim()
    .max(80)
    .required()
    .label('the name')
    .messages({ 'string.empty': 'Give the engine a name.' }),
  kind: oneOf(ENGINE_KINDS).required().label('car or motorcycle'),
  year: typedNumber().integer().min(1880).max(2030).allow(null, '').empty('').default(null).label('the year'),
  engineNumber: Joi.string().trim().max(60).allow('').default('').label('the engine number'),
  headMetal: metal('the metal of the head'),
  blockMetal: metal('the metal of the block'),
  preferredUnit: Joi.string()
    .valid(...TORQUE_UNITS)
    .required()
    .label('the unit'),
});

export const alteredEngineSchema = (
  engineSchema as Joi.ObjectSchema<EngineFields & { readonly id: string; readonly version: number }>
).keys({ id: Joi.string().required(), version: readVersion });

export const shopNameSchema = Joi.object<{ name: ShopName }, true>({ name: oneOf(SHOP_NAMES).required() });

export const asideSchema = Joi.object<{ engineId: string; reason: string }, true>({
  engineId: Joi.string().required(),
  reason: Joi.string()
    .trim()
    .max(120)
    .required()
    .label('the reason')
    .messages({ 'string.empty': 'Say why: finished, sold, waiting for parts.' }),
});

export const backSchema = Joi.object<{ engineId: string }, true>({ engineId: Joi.string().required() });
