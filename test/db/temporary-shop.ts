import { engineRows } from '@/db/reads/engine-rows';
import { engineStateOf, fitsOf, type EngineRows } from '@/model/engine/engine-rows';
import type { EngineState } from '@/model/engine/engine-state';
import type { Joint } from '@/model/joint/joint';
import { existsSync, mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { openShop, type Shop } from '@/db/shop';
import { planOfJoint } from '@/model/joint/round-plan';
import { jointInputs } from '@/db/reads/joint-inputs';
import { loadDemonstration } from '@demo/load-yard';
import { demonstrationYard } from '@demo/yard';

export const temporaryFile = (): string => join(mkdtempSync(join(tmpdir(), 'spanner-')), 'shop.sqlite');

export const YARD_NOW = '2026-05-16T14:20:00.000Z';

let yardBytes: Buffer | undefined;

/**
 * Fills a shop's own file with the demonstration yard, at a fixed time. The yard is loaded once a process and copied
 * from then on: most of a test's time went there.
 */
export function fillWithYard(file: string): void {
  if (!yardBytes) {
    const shop = openShop(temporaryFile());
    loadDemonstration(shop, demonstrationYard, YARD_NOW);
    yardBytes = shop.db.serialize();
    shop.close();
  }
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
