import type { Shop } from '@/db/shop';
import type { Adoption, Coming } from './adoption';
import type { BuildFile } from './build-file';

const drawer = (shims: readonly { readonly thickness_mm: number; readonly count: number }[]) =>
  JSON.stringify(shims.map(({ thickness_mm, count }) => [thickness_mm, count]).sort());

/** Drawers of shims: one that is here under the same name and holds something else stays as it is. */
export function withShims(shop: Shop, file: BuildFile, from: string): Pick<Adoption, 'file' | 'coming'> {
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
