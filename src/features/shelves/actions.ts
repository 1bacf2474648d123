'use server';

import { nanoid } from 'nanoid';
import { DomainError, atField } from '@/core/units';
import { wrenchSetting } from '@/core/wrench';
import { jointsReferringTo } from '@/db/reads/joints-affected';
import { PRACTICE_KEY, shopPractice } from '@/db/reads/shelves-of-shop';
import { PRACTICE_JSON } from '@/model/practice/house-practice';
import { PRACTICE_QUESTIONS } from '@/model/practice/practice-questions';
import { SHELF_SCHEMAS } from '@/model/shelf/shelf-schemas';
import type { Wrench } from '@/model/shelf/wrench';
import { BUILT_IN } from '@/model/shelf/shelves';
import { assertFresh, assertWritten, changedWords, sayBy } from '@/model/stale';
import { problemOf } from '@/server/problem';
import { engineOf, found, shopAction } from '@/server/shop-action';
import { pointsOf, wrenchSchema } from './schema';
import { keepRowSchema, practiceSchema, removeRowSchema } from './shelf-schema';

const sayWrench = sayBy({
  name: 'Name',
  unit: 'Unit',
  min: 'Lowest mark',
  max: 'Highest mark',
  graduation: 'Graduation',
  accuracy_pct: 'Accuracy, %',
  calibration: 'Check points',
  checkedAt: 'Last checked',
});

/** Hangs a wrench on the shelf, or changes what is known of one. What was tightened keeps the wrench as it was. */
export const keepWrenchAction = shopAction(wrenchSchema, (given, { shop, nowIso, tell }) => {
  const { id: known, version, calibration, checkedAt, ...fields } = given;
  const before = known === '' ? undefined : found(shop.wrenches, known, 'wrench', 'id');
  const { min, max, unit } = fields;
  const part = {
    ...fields,
    name: fields.name || `${min} to ${max} ${unit} wrench`,
    calibration: pointsOf(calibration) ?? [],
    checkedAt: checkedAt === null ? null : new Date(checkedAt).toISOString(),
  };
  if (before) assertFresh(before.name, before, { version, ...part }, sayWrench);
  const wrench: Wrench = {
    ...part,
    id: before?.id ?? nanoid(10),
    // Whoever changes it has it in hand: from then on it hangs here.
    cameWith: null,
    ...(before?.aside !== undefined && { aside: before.aside }),
    version: before?.version ?? 1,
    createdAt: before?.createdAt ?? nowIso,
  };
  atField('calibration', () => wrenchSetting(1, wrench));
  if (before) assertWritten(before.name, shop.wrenches.alter(wrench), before);
  else shop.wrenches.add(wrench);
  tell(before ? changedWords(before.name, before, part, sayWrench) : `The wrench “${wrench.name}” was hung up`);
  return { id: wrench.id };
});

/**
 * Puts a row on a shelf, over the built-in one of the same id if there is one. The built-in row itself is never
 * changed.
 */
export const keepShelfRowAction = shopAction(keepRowSchema, ({ kind, row, version }, { shop, nowIso, tell }) => {
  const checked = SHELF_SCHEMAS[kind].validate(
    { ...row, id: row.id || nanoid(8) },
    { abortEarly: false, stripUnknown: true },
  );
  if (checked.error) {
    const { message, field } = problemOf(checked.error);
    throw new DomainError('bad-field', message, field);
  }
  const own = checked.value as { readonly id: string; readonly name: string };
  const before = shop.shelf.find(kind, own.id);
  const current = { version: before?.version ?? 0, ...before?.row };
  assertFresh(own.name, current, { version, ...own });
  assertWritten(own.name, shop.shelf.put(kind, own as never, version, nowIso), current);
  tell(`“${own.name}” was put on the shelf`);
  return {};
});

/** Takes an own row off a shelf; one that a joint draws on and that nothing built in stands under has to stay. */
export const removeShelfRowAction = shopAction(removeRowSchema, ({ kind, id, version }, { shop, tell }) => {
  const before = shop.shelf.find(kind, id);
  if (!before) throw new DomainError('not-found', 'That row is no longer on the shelf.', 'id');
  assertFresh(before.row.name, before, { version });
  const builtIn = BUILT_IN[kind].some((row) => row.id === id);
  const using = builtIn ? [] : jointsReferringTo(shop, id);
  if (using.length > 0)
    throw new DomainError(
      'in-use',
      `It stays: ${using.join(', ')} ${using.length === 1 ? 'draws' : 'draw'} on it.`,
      'id',
    );
  assertWritten(before.row.name, shop.shelf.remove(kind, id, version), before);
  tell(`“${before.row.name}” was taken off the shelf`);
  return {};
});

const sayPractice = sayBy(Object.fromEntries(PRACTICE_QUESTIONS.map(({ row, question }) => [row, question])));

/**
 * Keeps one answer of the shop's practice, or where an engine differs from it; `null` takes an engine's own answer
 * away.
 */
export const keepPracticeAction = shopAction(practiceSchema, ({ engineId, version, change }, bench) => {
  const { shop } = bench;
  const answers = Object.fromEntries(Object.entries(change).filter(([, value]) => value !== null));
  if (engineId === null) {
    const { practice, version: current } = shopPractice(shop);
    assertFresh('House practice', { ...practice, version: current }, { version, ...answers }, sayPractice);
    const kept = PRACTICE_JSON.write({ ...practice, ...answers });
    assertWritten('House practice', shop.settings.set(PRACTICE_KEY, kept, current), { version: current });
    bench.tell(changedWords('House practice', practice, answers, sayPractice));
    return { version: current + 1 };
  }
  const engine = engineOf(bench, engineId);
  assertFresh(engine.name, { ...engine.practice, version: engine.version }, { version, ...change }, sayPractice);
  const dropped = new Set(Object.keys(change));
  const rest = Object.fromEntries(Object.entries(engine.practice).filter(([row]) => !dropped.has(row)));
  const altered = shop.engines.alter({ ...engine, practice: { ...rest, ...answers } });
  assertWritten(engine.name, altered, engine);
  bench.tell(changedWords(`Practice for ${engine.name}`, engine.practice, change, sayPractice));
  return { version: engine.version + 1 };
});
