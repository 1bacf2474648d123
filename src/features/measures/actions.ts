'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { holdingOf, type EngineMeasure, type MeasureKind } from '@/model/engine/engine-measure';
import { MEASURE_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import { StaleWrite, differencesOf, sayBy } from '@/model/stale';
import { problemOf } from '@/server/problem';
import { engineOf, shopAction } from '@/server/shop-action';
import { keptMeasureSchema } from './schema';

const MEASURE_WORDS: Readonly<Record<MeasureKind, string>> = {
  volumes: 'volumes were',
  weights: 'weights were',
  balance: 'balance sheet was',
  clocking: 'ring gaps were',
  bearings: 'bearing sizes were',
  marks: 'match marks were',
};

/** Keeps a measure of the whole engine; the earlier one stays beneath, and the sender has to have seen it. */
export const keepMeasureAction = shopAction(keptMeasureSchema, ({ engineId, kind, body, basedOn }, bench) => {
  const { shop, nowIso } = bench;
  engineOf(bench, engineId);
  const checked = MEASURE_SCHEMAS[kind].validate(body, { stripUnknown: true });
  if (checked.error) throw new DomainError('bad-field', problemOf(checked.error).message, 'body');
  const measure = { id: nanoid(10), engineId, kind, body: checked.value as EngineMeasure['body'], at: nowIso };
  const holding = holdingOf(shop.measures.all(engineId), measure);
  if ((holding?.id ?? null) !== basedOn && holding) {
    const differences = differencesOf(holding.body, measure.body, sayBy({}));
    const words = differences.map(({ field, onDisk, sent }) => `${field}: on disk “${onDisk}”, here “${sent}”`);
    throw new StaleWrite(
      `This sheet was kept anew in another window or on another device since it was opened here. Nothing was written. ${words.join('; ')}`,
      { version: 0, differences, current: holding },
    );
  }
  shop.measures.add(measure);
  // The first of its kind has nothing before it to go back to.
  if (holding) bench.tell(`The ${MEASURE_WORDS[kind]} saved`);
  return { id: measure.id };
});
