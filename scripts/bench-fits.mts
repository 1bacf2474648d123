// What the fits of one engine cost to read in a shop of twenty years: 500 engines, each with the Fourteen's fits and readings.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { engineRows } from '@/db/reads/engine-rows';
import { openShop } from '@/db/shop';
import { loadDemonstration } from '@demo/load-yard';
import { fitPage, fitsPage } from '@/features/fits/queries';
import { engineStateOf } from '@/model/engine/engine-rows';
import { demonstrationYard } from '@demo/yard';

const ENGINES = 500;
const TIMES = 40;

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Median and worst of several runs, ms. */
function timed(work: () => unknown): string {
  work();
  const runs = Array.from({ length: TIMES }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return `${median(runs).toFixed(2)} ms, at worst ${Math.max(...runs).toFixed(2)} ms`;
}

/** Fills a file with engines and says what their fits cost to read. */
export function benchFits(): void {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-bench-'));
  const shop = openShop(join(folder, 'shop.sqlite'));
  try {
    loadDemonstration(shop, demonstrationYard, '2026-05-16T14:20:00.000Z');
    const engine = shop.engines.find('demo-fourteen');
    if (!engine) throw new Error('no Fourteen in the yard');
    const fits = shop.fits.ofEngine(engine.id).map((fit) => ({ fit, lines: shop.fits.lines(fit.id) }));
    shop.transaction(() => {
      for (let e = 1; e < ENGINES; e++) {
        const engineId = `engine-${e}`;
        shop.engines.add({ ...engine, id: engineId, name: `${engine.name} ${e}` });
        for (const { fit, lines } of fits) {
          const id = `${fit.id}-${e}`;
          shop.fits.add({ ...fit, id, engineId, jointId: null, leafId: null, holds: [] });
          for (const line of lines) shop.fits.record(id, { ...line, id: `${line.id}-${e}` }, line.at);
        }
      }
    });
    const count = (shop.db.prepare('SELECT count(*) AS n FROM fit_line').get() as { n: number }).n;
    console.log(`\n${ENGINES} engines, ${count.toLocaleString('en')} readings:`);
    console.log(
      `  every fit of one engine, read and judged   ${timed(() => fitsPage(engineStateOf(engineRows(shop, engine))))}`,
    );
    console.log(
      `  one fit’s sheet                            ${timed(() => fitPage(shop, engineRows(shop, engine), 'demo-f-fit-rods'))}`,
    );
  } finally {
    shop.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
