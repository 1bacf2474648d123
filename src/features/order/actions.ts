'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { assertLine } from '@/model/order/assert-line';
import { assertOrder, insertedBehind, movedBehind, placeAfter } from '@/model/order/edit-steps';
import { pastedSteps } from '@/model/order/pasted-steps';
import { PLAIN_STEP, type Step } from '@/model/order/step';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { shelvesFor } from '@/model/shelf/shelves';
import { stepsOfStart } from '@/model/order/steps-of-start';
import { assertFresh, assertWritten, changedWords, sayBy } from '@/model/stale';
import { assertWorkedWith } from '@/server/assert-worked-with';
import { engineStateNow } from '@/server/engine-now';
import { engineOf, found, shopAction, type Bench } from '@/server/shop-action';
import { lineWords } from './line-words';
import { lineSchema, movedSchema, pastedSchema, startFromSchema, stepSchema, type StepFields } from './schema';

type Shop = Bench['shop'];

const orderHref = (engineId: string) => `/engines/${engineId}/order`;

const sayStep = sayBy({
  name: 'Name',
  kind: 'Kind',
  branch: 'Sub-assembly',
  jointId: 'Its joint',
  purpose: 'Why it is gone round',
  fitId: 'Its fit',
  leafId: 'Its entry',
  after: 'What comes before it',
  notUntil: 'What must not yet be there',
  detail: 'What is known of it',
});

/** Joint, fit and entry of a step are of its own engine. @throws DomainError not-found */
function assertOwn(shop: Shop, { engineId, jointId, fitId, leafId }: StepFields): void {
  const foreign = (
    [
      ['jointId', jointId, shop.joints.ofEngine(engineId)],
      ['fitId', fitId, shop.fits.ofEngine(engineId)],
      ['leafId', leafId, shop.book.leaves(engineId)],
    ] as const
  ).find(([, id, own]) => id !== null && !own.some((one) => one.id === id));
  if (foreign) throw new DomainError('not-found', 'That is not of this engine.', foreign[0]);
}

/** Puts the steps of a start into an order that has none. */
export const startFromAction = shopAction(startFromSchema, ({ engineId, start, meeting }, bench) => {
  const { shop, nowIso, tell } = bench;
  const { practice } = shelvesFor(shelvesOf(shop), engineOf(bench, engineId));
  if (shop.build.ofEngine(engineId).steps.length > 0)
    throw new DomainError('has-order', 'This engine has an order already; steps are added to it one by one.', 'start');
  const own = new Set([...shop.joints.ofEngine(engineId), ...shop.fits.ofEngine(engineId)].map(({ id }) => id));
  if (Object.values(meeting).some((id) => id !== null && !own.has(id)))
    throw new DomainError('not-found', 'That is not of this engine.', 'meeting');
  const steps = stepsOfStart(start, engineId, meeting, { freshId: () => nanoid(10), nowIso, practice });
  assertOrder(steps);
  for (const step of steps) shop.build.addStep(step);
  tell(`An order of ${steps.length} steps was begun`);
  return { href: orderHref(engineId) };
});

const PLAIN = {
  place: 0,
  kind: 'other',
  branch: '',
  jointId: null,
  purpose: null,
  fitId: null,
  leafId: null,
  after: [],
  notUntil: [],
  version: 1,
} as const;

/** Writes new and changed steps, unless they would wait for one another in a ring. @throws DomainError, StaleWrite */
function writeSteps(shop: Shop, steps: readonly Step[], put: readonly Step[]): void {
  const known = new Set(steps.map(({ id }) => id));
  const changed = new Map(put.map((step) => [step.id, step]));
  assertOrder([...steps.map((step) => changed.get(step.id) ?? step), ...put.filter(({ id }) => !known.has(id))]);
  // A step that another waits for is written before it.
  for (const step of put.filter(({ id }) => !known.has(id))) shop.build.addStep(step);
  for (const step of put.filter(({ id }) => known.has(id))) assertWritten(step.name, shop.build.alterStep(step), step);
}

/** Adds a step, or changes one; steps that would wait for one another in a ring are refused with their names. */
export const keepStepAction = shopAction(stepSchema, (given, bench) => {
  const { shop, nowIso, tell } = bench;
  const { id: known, version, behind, ...fields } = given;
  engineOf(bench, fields.engineId);
  assertOwn(shop, given);
  const { steps } = shop.build.ofEngine(fields.engineId);
  if (known === null) {
    const step: Step = { ...fields, id: nanoid(10), place: placeAfter(steps, null), version: 1, createdAt: nowIso };
    // Without a place of its own it waits for what was chosen; else it goes into the line there.
    const put =
      behind === undefined
        ? [{ ...step, place: placeAfter(steps, steps.at(-1)?.id ?? null) }]
        : insertedBehind(steps, [step], behind);
    writeSteps(shop, steps, put);
    tell(`The step “${step.name}” was put in`);
    return { id: step.id };
  }
  assertWorkedWith(shop, 'step', known);
  const before = found({ find: shop.build.findStep }, known, 'step', 'id');
  if (before.engineId !== fields.engineId)
    throw new DomainError('not-found', 'That is not of this engine.', 'engineId');
  assertFresh(before.name, before, { ...fields, version }, sayStep);
  const after: Step = { ...before, ...fields };
  assertOrder(steps.map((step) => (step.id === known ? after : step)));
  assertWritten(before.name, shop.build.alterStep(after), before);
  tell(changedWords(before.name, before, fields, sayStep));
  return { id: known };
});

/** Puts a step behind another in the line, or before all others. */
export const moveStepAction = shopAction(movedSchema, ({ stepId, version, behind }, { shop, tell }) => {
  assertWorkedWith(shop, 'step', stepId);
  const before = found({ find: shop.build.findStep }, stepId, 'step', 'stepId');
  assertFresh(before.name, before, { version }, sayStep);
  const { steps } = shop.build.ofEngine(before.engineId);
  if (behind !== null && !steps.some(({ id }) => id === behind))
    throw new DomainError('not-found', 'That step is no longer in the order.', 'behind');
  writeSteps(shop, steps, movedBehind(steps, stepId, behind));
  tell(`“${before.name}” was put elsewhere`);
  return {};
});

/** Makes steps of a page's own numbered instructions, one after another. */
export const pasteStepsAction = shopAction(pastedSchema, ({ engineId, text, behind }, bench) => {
  const { shop, nowIso, tell } = bench;
  engineOf(bench, engineId);
  const { steps } = shop.build.ofEngine(engineId);
  const chain = pastedSteps(text).map(({ number, name, words }): Step => ({
    ...PLAIN,
    id: nanoid(10),
    engineId,
    name,
    detail: { ...PLAIN_STEP, words: [number && `Number ${number} of the page.`, words].filter(Boolean).join(' ') },
    createdAt: nowIso,
  }));
  if (chain.length === 0) throw new DomainError('nothing', 'There is no line to make a step of.', 'text');
  writeSteps(shop, steps, insertedBehind(steps, chain, behind ?? steps.at(-1)?.id ?? null));
  tell(chain.length === 1 ? 'One step was pasted in' : `${chain.length} steps were pasted in`);
  return { added: chain.length };
});

/** Writes a line of the order: what was done, undone, looked at, put in, taken out. The same line sent twice is one. */
export const writeLineAction = shopAction(lineSchema, ({ engineId, line }, bench) => {
  const { shop, nowIso, tell } = bench;
  const known = shop.build.line(line.id);
  if (known) {
    if (known.engineId !== engineId) throw new DomainError('bad-id', 'A line of that id is of another engine.', 'id');
    return {};
  }
  const state = engineStateNow(bench, engineId);
  const checked = assertLine(state, line, nowIso);
  shop.build.record(engineId, { ...checked, at: nowIso }, nowIso);
  tell(lineWords(state, checked));
  return {};
});
