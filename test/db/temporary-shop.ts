import { engineRows } from '@/db/reads/engine-rows';
import { engineStateOf, fitsOf, type EngineRows } from '@/model/engine/engine-rows';
import type { EngineState } from '@/model/engine/engine-state';
import type { Joint } from '@/model/joint/joint';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { openShop, type Shop } from '@/db/shop';
import { planOfJoint } from '@/model/joint/round-plan';
import { jointInputs } from '@/db/reads/joint-inputs';
import { loadDemonstration } from '@demo/load-yard';
import { demonstrationYard } from '@demo/yard';

export const temporaryFile = (): string => join(mkdtempSync(join(tmpdir(), 'spanner-')), 'shop.sqlite');

export const YARD_NOW = '2026-05-16T14:20:00.000Z';

/** Read from there by every test file of a run: what each has in mind is thrown away before the next. */
const MADE_ONCE = process.env.SPANNER_TEST_FOLDER && join(process.env.SPANNER_TEST_FOLDER, 'yard-made-once.sqlite');

function madeYard(): Buffer {
  const shop = openShop(temporaryFile());
  try {
    loadDemonstration(shop, demonstrationYard, YARD_NOW);
    return shop.db.serialize();
  } finally {
    shop.close();
  }
}

/** Two test files may begin at once: each puts its own in place whole, and both are the same. */
function onceARun(file: string): Buffer {
  if (!existsSync(file)) {
    const mine = `${file}-${process.pid}`;
    writeFileSync(mine, madeYard());
    renameSync(mine, file);
  }
  return readFileSync(file);
}

let yardBytes: Buffer | undefined;

/**
 * Fills a shop's own file with the demonstration yard, at a fixed time. The yard is made once a run and copied from
 * then on: most of a test's time went there. Where the code is spoilt on purpose, each file makes its own.
 */
export function fillWithYard(file: string): void {
  yardBytes ??= MADE_ONCE && !('__stryker__' in globalThis) ? onceARun(MADE_ONCE) : madeYard();
  if (existsSync(file)) throw new Error(`${file} is there already`);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, yardBytes);
}

/** The demonstration yard in a file of its own, at a fixed time. */
export function yardShop(file = temporaryFile()): Shop {
  fillWithYard(file);
  return openShop(file);
}

/** A going-round of the Norrhem's main bearings, not yet begun. */
export function freshTightening(shop: Shop, id = 'round') {
  const joint = shop.joints.find('demo-n-joint-mains');
  if (!joint) throw new Error('the yard has no main bearings');
  const tightening = {
    id,
    jointId: joint.id,
    purpose: 'final' as const,
    plan: planOfJoint(jointInputs(shop, joint, Date.parse(YARD_NOW))),
    startedAt: YARD_NOW,
  };
  shop.tightenings.start(tightening);
  return tightening;
}

/** Everything written of an engine of the yard. */
export function rowsNamed(shop: Shop, id: string): EngineRows {
  const engine = shop.engines.find(id);
  if (!engine) throw new Error(`no ${id} in the yard`);
  return engineRows(shop, engine);
}

/** Where an engine of the yard stands. */
export const stateNamed = (shop: Shop, id: string): EngineState => engineStateOf(rowsNamed(shop, id));

/** A joint of the yard. */
export function jointNamed(shop: Shop, id: string): Joint {
  const joint = shop.joints.find(id);
  if (!joint) throw new Error(`no ${id} in the yard`);
  return joint;
}

/** Where the fits of an engine of the yard stand. */
export const fitsOfEngine = (shop: Shop, id: string) => (shop.engines.find(id) ? fitsOf(rowsNamed(shop, id)) : []);
