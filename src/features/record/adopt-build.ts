import { knownIds } from '@/db/reads/known-ids';
import { shopPractice } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import { completeDetail } from '@/model/joint/joint-detail';
import type { HousePractice, PracticeRow } from '@/model/practice/house-practice';
import { isOffered } from '@/model/shelf/shelves';
import type { Wrench } from '@/model/shelf/wrench';
import { withShelf } from './adopt-shelf';
import { withShims } from './adopt-shims';
import { suffixed, type Adoption, type Coming, type NewId } from './adoption';
import type { BuildFile, FileWrench } from './build-file';

/** Rows that belong to the engine alone. */
const ownRows = (file: BuildFile): readonly { readonly id: string }[] => [
  file.engine,
  ...file.leaves,
  ...file.joints,
  ...file.tightenings,
  ...file.tightenings.flatMap(({ events }) => events),
  ...file.heat.cycles,
  ...file.heat.readings,
  ...file.heat.meters,
  ...file.boltSets,
  ...file.boltSets.flatMap(({ readings }) => readings),
  ...file.fits,
  ...file.fits.flatMap(({ lines }) => lines),
  ...file.measures,
  ...file.order.steps,
  ...file.order.parts,
  ...file.order.buildLines,
  ...file.notes,
];

/** Every row of a file, with those that shops share. */
export const everyRow = (file: BuildFile): readonly { readonly id: string }[] => [
  ...ownRows(file),
  ...file.sources,
  ...file.wrenches,
  ...file.shims,
];

const LISTS_OF_IDS = new Set(['alsoLeaves', 'holds', 'after', 'notUntil']);
const IS_REFERENCE = /^(id|strikes|upTo|.*Id)$/;

/**
 * The file with rows under other ids, wherever they are named. Rows of a shelf and the rungs of a plan have names that
 * are no ids of rows.
 */
function renamed({ shelf, tightenings, ...rest }: BuildFile, ids: ReadonlyMap<string, string>): BuildFile {
  const of = (id: string) => ids.get(id) ?? id;
  const inside = <T>(part: T): T =>
    JSON.parse(JSON.stringify(part), (key, value: unknown) => {
      if (LISTS_OF_IDS.has(key) && Array.isArray(value)) return value.map(of);
      // What a line of the order ends is named by the line, the step or the joint that it is of: `lock <joint>`, `<line>:0`.
      if (key === 'of' && typeof value === 'string')
        return value
          .split(/([: ])/)
          .map(of)
          .join('');
      return typeof value === 'string' && IS_REFERENCE.test(key) ? of(value) : value;
    }) as T;
  return {
    ...inside(rest),
    shelf,
    tightenings: tightenings.map(({ plan, ...round }) => ({
      ...inside(round),
      plan: { ...plan, ...(plan.cycleId !== undefined && { cycleId: of(plan.cycleId) }) },
    })),
  };
}

/** The engine's own rows under new ids, where any of them stands here: a line is never taken for another shop's. */
function apart(shop: Shop, file: BuildFile, newId: NewId): { readonly file: BuildFile; readonly copied: boolean } {
  const rows = ownRows(file).map(({ id }) => id);
  const copied = shop.engines.find(file.engine.id) !== undefined;
  if (knownIds(shop, rows).size === 0) return { file, copied };
  const renewed = renamed(file, new Map(rows.map((id) => [id, newId()])));
  const name = copied ? suffixed(file.engine.name, ' (copy)') : file.engine.name;
  return { file: { ...renewed, engine: { ...renewed.engine, name } }, copied };
}

const wrenchKey = ({ name, unit, min, max, graduation, accuracy_pct, calibration, checkedAt }: FileWrench) =>
  JSON.stringify([name, unit, min, max, graduation, accuracy_pct, calibration, checkedAt]);

/** Sources, wrenches and shims: what is here stays, and what the file brings stands beside it. */
function withShared(shop: Shop, file: BuildFile, newId: NewId): Pick<Adoption, 'file' | 'coming'> {
  const ids = new Map<string, string>();
  const coming: Coming[] = [];
  const taken = knownIds(
    shop,
    [...file.sources, ...file.wrenches, ...file.shims].map(({ id }) => id),
  );
  const bring = (what: Coming['what'], row: { readonly id: string }, name: string) => {
    if (taken.has(row.id)) ids.set(row.id, newId());
    coming.push({ what, name, as: taken.has(row.id) ? 'beside' : 'new' });
  };
  for (const source of file.sources) bring('source', source, source.title);
  const here = new Map(
    shop.wrenches
      .all()
      .filter(isOffered)
      .map((wrench: Wrench) => [wrenchKey(wrench), wrench.id]),
  );
  for (const wrench of file.wrenches) {
    const same = here.get(wrenchKey(wrench));
    if (same === undefined) bring('wrench', wrench, wrench.name);
    else ids.set(wrench.id, same);
  }
  for (const shim of file.shims) if (taken.has(shim.id)) ids.set(shim.id, newId());
  const standing = new Set(here.values());
  const copy = renamed(file, ids);
  return { file: { ...copy, wrenches: copy.wrenches.filter(({ id }) => !standing.has(id)) }, coming };
}

/** Where house practice differs from this shop's, the engine keeps the one that its figures were made with. */
function withPractice(shop: Shop, file: BuildFile): Pick<Adoption, 'file' | 'practice'> {
  const here = { ...shopPractice(shop).practice, ...file.engine.practice };
  const differing = Object.entries(file.practice).filter(([row, answer]) => answer !== here[row as PracticeRow]);
  const practice = Object.fromEntries(differing) as Partial<HousePractice>;
  return {
    file: { ...file, engine: { ...file.engine, practice: { ...file.engine.practice, ...practice } } },
    practice,
  };
}

/** Leaves that a joint names beside its own may have been left out of the file of one joint. */
const withKnownLeaves = (file: BuildFile): BuildFile => {
  const known = new Set(file.leaves.map(({ id }) => id));
  return {
    ...file,
    joints: file.joints.map((joint) => {
      const detail = completeDetail(joint.detail);
      return { ...joint, detail: { ...detail, alsoLeaves: detail.alsoLeaves.filter((id) => known.has(id)) } };
    }),
  };
};

/**
 * Makes a file of another shop fit to stand here: whatever it brings stays with its engine. No row of this shop is
 * touched, and what the file's figures were made with comes along where it is something else here.
 */
export function adopt(shop: Shop, given: BuildFile, newId: NewId): Adoption {
  const { file: own, copied } = apart(shop, withKnownLeaves(given), newId);
  const shared = withShared(shop, own, newId);
  const shims = withShims(shop, shared.file, given.engine.name);
  const shelf = withShelf(shop, shims.file, given.engine.name, newId);
  const { file, practice } = withPractice(shop, shelf.file);
  return { file, copied, practice, coming: [...shared.coming, ...shims.coming, ...shelf.coming] };
}
