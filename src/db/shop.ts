import { openDatabase } from './connection';
import { createBoltRepository } from './repositories/bolt-repository';
import { createBookRepository } from './repositories/book-repository';
import { createEngineRepository } from './repositories/engine-repository';
import { createFitRepository } from './repositories/fit-repository';
import { createHeatRepository } from './repositories/heat-repository';
import { createJointRepository } from './repositories/joint-repository';
import { createEngineSummaryRepository } from './repositories/engine-summary-repository';
import { createRemovalRepository } from './repositories/removal-repository';
import { createSettingRepository } from './repositories/setting-repository';
import { createMeasureRepository } from './repositories/measure-repository';
import { createShelfRepository } from './repositories/shelf-repository';
import { createShimRepository } from './repositories/shim-repository';
import { createTighteningRepository } from './repositories/tightening-repository';
import { createTrialRepository } from './repositories/trial-repository';
import { createWrenchRepository } from './repositories/wrench-repository';
import { troubleOf } from './trouble';

/**
 * One shop's file, open, with everything that reads and writes it.
 * @throws ShopTrouble
 */
export function openShop(file: string) {
  const db = openDatabase(file);
  return {
    file,
    engines: createEngineRepository(db),
    book: createBookRepository(db),
    joints: createJointRepository(db),
    tightenings: createTighteningRepository(db),
    heat: createHeatRepository(db),
    wrenches: createWrenchRepository(db),
    shelf: createShelfRepository(db),
    bolts: createBoltRepository(db),
    fits: createFitRepository(db),
    shims: createShimRepository(db),
    measures: createMeasureRepository(db),
    trials: createTrialRepository(db),
    summaries: createEngineSummaryRepository(db),
    settings: createSettingRepository(db),
    removals: createRemovalRepository(db),
    /** Runs the work as one transaction: all of it is written, or none. */
    transaction: <T>(work: () => T): T => {
      try {
        return db.transaction(work).immediate();
      } catch (error) {
        throw troubleOf(error, file) ?? error;
      }
    },
    close: () => db.close(),
    db,
  };
}

export type Shop = ReturnType<typeof openShop>;
