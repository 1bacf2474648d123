import { openDatabase } from './connection';
import { createAsideRepository } from './repositories/aside-repository';
import { createActRepository } from './repositories/act-repository';
import { createBuildRepository } from './repositories/build-repository';
import { createBoltRepository } from './repositories/bolt-repository';
import { createBookRepository } from './repositories/book-repository';
import { createEngineRepository } from './repositories/engine-repository';
import { createFitRepository } from './repositories/fit-repository';
import { createHandRepository } from './repositories/hand-repository';
import { createHeatRepository } from './repositories/heat-repository';
import { createJointRepository } from './repositories/joint-repository';
import { createEngineSummaryRepository } from './repositories/engine-summary-repository';
import { createNoteRepository } from './repositories/note-repository';
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
  // Lines take their writer's initials from the file's own function, so that no way of writing one forgets them.
  let writer = '';
  db.function('who', () => writer);
  const marked = db.prepare<[], { readonly own: number; readonly others: number }>(
    'SELECT total_changes() AS own, data_version AS others FROM pragma_data_version',
  );
  return {
    file,
    /** Does some work in somebody's name: every line written in it has these initials. */
    inNameOf: <T>(who: string, work: () => T): T => {
      const before = writer;
      writer = who;
      try {
        return work();
      } finally {
        writer = before;
      }
    },
    engines: createEngineRepository(db),
    book: createBookRepository(db),
    joints: createJointRepository(db),
    tightenings: createTighteningRepository(db),
    heat: createHeatRepository(db),
    wrenches: createWrenchRepository(db),
    shelf: createShelfRepository(db),
    bolts: createBoltRepository(db),
    fits: createFitRepository(db),
    build: createBuildRepository(db),
    shims: createShimRepository(db),
    measures: createMeasureRepository(db),
    trials: createTrialRepository(db),
    hands: createHandRepository(db),
    summaries: createEngineSummaryRepository(db),
    settings: createSettingRepository(db),
    removals: createRemovalRepository(db),
    acts: createActRepository(db),
    notes: createNoteRepository(db),
    asides: createAsideRepository(db),
    /** Runs the work as one transaction: all of it is written, or none. */
    transaction: <T>(work: () => T): T => {
      try {
        return db.transaction(work).immediate();
      } catch (error) {
        throw troubleOf(error, file) ?? error;
      }
    },
    /**
     * The same for as long as nothing is written to the file, here or by another program; undefined within a
     * transaction, which may yet be taken back.
     */
    mark: (): string | undefined => {
      if (db.inTransaction) return undefined;
      const { own, others } = marked.get() as { readonly own: number; readonly others: number };
      return `${own} ${others}`;
    },
    close: () => db.close(),
    db,
  };
}

export type Shop = ReturnType<typeof openShop>;
