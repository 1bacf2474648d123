import { knownIds } from '@/db/reads/known-ids';
import { shopPractice } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import type { Joint } from '@/model/joint/joint';
import type { FigureFields } from '@/model/joint/figure-fields';
import { completeDetail, type FigureDetail } from '@/model/joint/joint-detail';
import type { PlannedFigure } from '@/model/joint/tightening-plan';
import type { HousePractice, PracticeRow } from '@/model/practice/house-practice';
import type { ShelfKind, ShelfRows } from '@/model/shelf/shelf-rows';
import { BUILT_IN, isOffered } from '@/model/shelf/shelves';
import type { Wrench } from '@/model/shelf/wrench';
import type { BuildFile, FileWrench } from './build-file';

/** Rows of a shelf that a joint may name. */
export const DRAWN_KINDS = ['film', 'grade', 'metal'] as const satisfies readonly ShelfKind[];
type DrawnKind = (typeof DRAWN_KINDS)[number];

/** Something shared that the build needs, and what becomes of it here. */
export interface Coming {
  readonly what: DrawnKind | 'wrench' | 'source' | 'shims';
  readonly name: string;
  /** `new`: nothing like it is here; `beside`: another of that name or number is here and stays as it is. */
  readonly as: 'new' | 'beside';
}

/** A file as it will be written, so that nothing of this shop is touched by it. */
export interface Adoption {
  readonly file: BuildFile;
  readonly copied: boolean;
  readonly coming: readonly Coming[];
  /** Answers of house practice that differ from this shop's, kept with the engine. */
  readonly practice: Partial<HousePractice>;
}

type NewId = () => string;

const MAX_NAME = 80;
const MAX_SOURCE = 300;

const suffixed = (name: string, suffix: string) => `${name.slice(0, MAX_NAME - suffix.length)}${suffix}`;

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

const drawer = (shims: readonly { readonly thickness_mm: number; readonly count: number }[]) =>
  JSON.stringify(shims.map(({ thickness_mm, count }) => [thickness_mm, count]).sort());

/** Drawers of shims: one that is here under the same name and holds something else stays as it is. */
function withShims(shop: Shop, file: BuildFile, from: string): Pick<Adoption, 'file' | 'coming'> {
  const named = new Set(shop.fits.shimFamilies());
  const names = new Map<string, string>();
  const brought = new Set<string>();
  const coming: Coming[] = [];
  for (const family of new Set(
    [...file.shims, ...file.fits.flatMap(({ detail }) => detail.shim ?? [])].map((one) => one.family),
  )) {
    const here = shop.shims.inFamily(family);
    const theirs = file.shims.filter((shim) => shim.family === family);
    if (drawer(here) === drawer(theirs)) continue;
    const isFree = here.length === 0 && !named.has(family);
    const name = isFree ? family : freeFamily(shop, named, `${family} (${from})`);
    names.set(family, name);
    brought.add(name);
    coming.push({ what: 'shims', name, as: isFree ? 'new' : 'beside' });
  }
  const nameOf = (family: string) => names.get(family) ?? family;
  return {
    coming,
    file: {
      ...file,
      shims: file.shims
        .map((shim) => ({ ...shim, family: nameOf(shim.family) }))
        .filter(({ family }) => brought.has(family)),
      fits: file.fits.map((fit) =>
        fit.detail.shim
          ? { ...fit, detail: { ...fit.detail, shim: { ...fit.detail.shim, family: nameOf(fit.detail.shim.family) } } }
          : fit,
      ),
    },
  };
}

function freeFamily(shop: Shop, named: ReadonlySet<string>, wanted: string, n = 1): string {
  const name = n === 1 ? wanted : `${wanted} ${n}`;
  const isTaken = named.has(name) || shop.shims.inFamily(name).length > 0;
  return isTaken ? freeFamily(shop, named, wanted, n + 1) : name;
}

/** What a row says in figures; its name and where it is from decide nothing. */
const figuresOfRow = ({ id: _, name: __, provenance: ___, source: ____, ...figures }: ShelfRows[DrawnKind]) =>
  JSON.stringify(Object.entries(figures).sort(([a], [b]) => a.localeCompare(b)));

type RowOf = (kind: DrawnKind, id: string) => string;

/** Every place in the figure of a fastener where a row of a shelf is named. */
function figureWithRows<Detail extends FigureDetail>(
  { originalFilm, todayFilm }: Pick<FigureFields, 'originalFilm' | 'todayFilm'>,
  detail: Detail,
  of: RowOf,
) {
  const maybe = (kind: DrawnKind, id: string | null) => (id === null ? null : of(kind, id));
  const gradesOf = ({ grade, nutGrade }: { readonly grade: string | null; readonly nutGrade: string | null }) => ({
    grade: maybe('grade', grade),
    nutGrade: maybe('grade', nutGrade),
  });
  return {
    films: { originalFilm: of('film', originalFilm), todayFilm: of('film', todayFilm) },
    detail: {
      ...detail,
      original: { ...detail.original, ...gradesOf(detail.original) },
      today: detail.today && { ...detail.today, ...gradesOf(detail.today) },
      headFilm: maybe('film', detail.headFilm),
      parent: {
        ...detail.parent,
        metal: maybe('metal', detail.parent.metal),
        underHead: maybe('metal', detail.parent.underHead),
      },
      maker: detail.maker && { ...detail.maker, film: of('film', detail.maker.film) },
      standard: detail.standard && { ...detail.standard, grade: of('grade', detail.standard.grade) },
    } as Detail,
  };
}

/** Every place in a joint where a row of a shelf is named. */
function withRows(joint: Joint, of: RowOf): Joint {
  const own = figureWithRows(joint, joint.detail, of);
  const kinds = joint.detail.kinds.map((kind) => {
    const { films, detail } = figureWithRows(kind.fields, kind.detail, of);
    return { ...kind, fields: { ...kind.fields, ...films }, detail };
  });
  return { ...joint, ...own.films, detail: { ...own.detail, kinds } };
}

/**
 * Rows of the shelves that the joints name: one that says here what it said there is this shop's; one that says
 * something else comes along under an id of its own, shipped ones too, and the joints of the file name that.
 */
function withShelf(shop: Shop, file: BuildFile, from: string, newId: NewId): Pick<Adoption, 'file' | 'coming'> {
  const rows = { film: [], grade: [], metal: [], thread: [] } as { [K in ShelfKind]: ShelfRows[K][] };
  const coming: Coming[] = [];
  const become = new Map<string, string>();
  const adopt = (kind: DrawnKind, id: string): string => {
    const known = become.get(`${kind} ${id}`);
    if (known !== undefined) return known;
    const shipped = (BUILT_IN[kind] as readonly ShelfRows[DrawnKind][]).find((row) => row.id === id);
    const theirs = (file.shelf[kind] as readonly ShelfRows[DrawnKind][]).find((row) => row.id === id) ?? shipped;
    const here = shop.shelf.find(kind, id)?.row ?? shipped;
    const isSame = theirs && here && figuresOfRow(theirs) === figuresOfRow(here);
    const isFree = !here && shop.joints.referringTo(id).length === 0;
    const as = !theirs || isSame || isFree ? id : newId();
    become.set(`${kind} ${id}`, as);
    if (theirs && !isSame) {
      const name = isFree ? theirs.name : suffixed(theirs.name, ` (${from.slice(0, 40)})`);
      const source = `${theirs.source}; as in the build of ${from}`.slice(0, MAX_SOURCE);
      rows[kind].push({ ...theirs, id: as, name, ...(!isFree && { source }), provenance: 'own' } as never);
      coming.push({ what: kind, name, as: isFree ? 'new' : 'beside' });
    }
    return as;
  };
  const joints = file.joints.map((joint) => withRows(joint, adopt));
  // A plan says which films it was pulled with: under the names that its joint has for them from now on.
  const film = (id: string) => become.get(`film ${id}`) ?? id;
  const filmsOf = <Figure extends Pick<PlannedFigure, 'films'>>(figure: Figure): Figure => ({
    ...figure,
    ...(figure.films && { films: { thread: film(figure.films.thread), head: film(figure.films.head) } }),
  });
  const tightenings = file.tightenings.map(({ plan, ...round }) => ({
    ...round,
    plan: { ...filmsOf(plan), ...(plan.kinds && { kinds: plan.kinds.map(filmsOf) }) },
  }));
  return { file: { ...file, joints, tightenings, shelf: rows }, coming };
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
