import type { Fit } from '@/model/fit/fit';
import { contextOf } from '@/model/fit/fit-context';
import { pagesOf } from '@/model/fit/fit-page';
import type { FitContext } from '@/model/fit/fit-context';
import { openingsOfFits } from '@/model/engine/engine-rows';
import type { Shop } from '../shop';

/** What the fits of an engine rest on outside of them: its joints, when each was gone round, and its book. */
const restingOn = (shop: Shop, engineId: string) => ({
  joints: shop.joints.ofEngine(engineId),
  rounds: shop.tightenings.rounds(engineId),
  openings: openingsOfFits(shop.build.ofEngine(engineId).buildLines, shop.bolts.ofEngine(engineId)),
  pageOf: pagesOf(shop.book.leaves(engineId), shop.book.sources(engineId)),
});

/** What one fit's readings rest on outside of it, in six queries. */
export function contextOfFit(shop: Shop, fit: Fit): FitContext {
  const { joints, rounds, openings, pageOf } = restingOn(shop, fit.engineId);
  return contextOf(fit, pageOf(fit), joints, rounds, openings);
}
