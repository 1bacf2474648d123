import type { Engine } from '@/model/engine/engine';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { Shop } from '../shop';

/** Everything written of one engine, in nine queries however much it is. */
export const engineRows = (shop: Shop, engine: Engine): EngineRows => ({
  engine,
  sources: shop.book.sources(engine.id),
  leaves: shop.book.leaves(engine.id),
  joints: shop.joints.ofEngine(engine.id),
  tightenings: shop.tightenings.ofEngine(engine.id),
  events: shop.tightenings.eventsOfEngine(engine.id),
  heat: shop.heat.log(engine.id),
  fits: shop.fits.ofEngine(engine.id),
  lines: shop.fits.linesOfEngine(engine.id),
});
