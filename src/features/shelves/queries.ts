import { checkOverdue } from '@/model/practice/house-practice';
import type { ShelfKind } from '@/model/shelf/shelf-rows';
import { overlaid } from '@/model/shelf/overlaid';
import { BUILT_IN, type Shelves } from '@/model/shelf/shelves';
import type { Shop } from '@/db/shop';
import type { ShelvedRow } from './shelf-screen';
import type { Stop } from '@/interface/shell/order-strip';
import type { ShelvedWrench } from './wrench-shelf';

/** One shelf's rows, an own one with the shipped row beneath it. */
export function shelfRows(shop: Shop, kind: ShelfKind): readonly ShelvedRow[] {
  const shipped: readonly ShelvedRow['row'][] = BUILT_IN[kind];
  const own = shop.shelf.own(kind);
  const versions = new Map(own.map(({ row, version }) => [row.id, version]));
  return overlaid<ShelvedRow['row']>(
    shipped,
    own.map(({ row }) => row),
  ).map((row) => {
    const beneath = shipped.find((one) => one.id === row.id);
    return { row, version: versions.get(row.id) ?? 0, ...(beneath && beneath !== row && { shipped: beneath }) };
  });
}

/** The wrenches, each with whether its check is overdue by the shop's school. */
export const shelvedWrenches = ({ wrenches, practice }: Shelves, now: number): readonly ShelvedWrench[] =>
  wrenches
    .filter(({ aside }) => aside === undefined)
    .map((wrench) => ({
      wrench,
      overdue: checkOverdue(wrench.checkedAt === null ? undefined : Date.parse(wrench.checkedAt), practice.check, now),
    }));

/** The shelves in their order, with how much is the shop's own. */
export function shelfStops(
  shop: Shop,
  { wrenches }: Pick<Shelves, 'wrenches'>,
  pullsByHand: readonly unknown[],
): readonly Stop[] {
  const counts = shop.shelf.counts();
  const own = (kind: ShelfKind) => {
    const count = counts.get(kind) ?? 0;
    return count === 0 ? 'shipped' : `${count} own`;
  };
  const stop = (name: string, path: string, line: string): Stop => ({
    name,
    href: `/shelves/${path}`,
    done: 0,
    total: 0,
    line,
  });
  const [trials, hands] = [shop.trials.count(), pullsByHand.length];
  return [
    stop('Lubricants', 'films', own('film')),
    stop('Grades', 'grades', own('grade')),
    stop('Threads', 'threads', 'finder'),
    stop('Metals', 'metals', own('metal')),
    stop('Wrenches', 'wrenches', `${wrenches.filter(({ aside }) => aside === undefined).length}`),
    stop('Instruments', 'instruments', 'simulated'),
    stop('Practice', 'practice', 'schools'),
    stop('Timing', 'timing', 'reckoner'),
    stop('Trials', 'trials', trials === 0 ? 'none yet' : `${trials}`),
    stop('By hand', 'hands', hands === 0 ? 'none yet' : hands === 1 ? '1 pull' : `${hands} pulls`),
  ];
}
