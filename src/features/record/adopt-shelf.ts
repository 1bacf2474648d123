import type { Shop } from '@/db/shop';
import type { Joint } from '@/model/joint/joint';
import type { FigureFields } from '@/model/joint/figure-fields';
import type { FigureDetail } from '@/model/joint/joint-detail';
import type { PlannedFigure } from '@/model/joint/tightening-plan';
import type { ShelfKind, ShelfRows } from '@/model/shelf/shelf-rows';
import { BUILT_IN } from '@/model/shelf/shelves';
import { suffixed, type Adoption, type Coming, type DrawnKind, type NewId } from './adoption';
import type { BuildFile } from './build-file';

const MAX_SOURCE = 300;

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
export function withShelf(shop: Shop, file: BuildFile, from: string, newId: NewId): Pick<Adoption, 'file' | 'coming'> {
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
