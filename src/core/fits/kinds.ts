import type { ClearanceRule } from './rule';
import type { ConditionId, Part, RemedyId } from './conditions';

/**
 * How a fit is read: two diameters; play by dial or feelers; a gap by feelers; a length; a turning part under a dial.
 */
export type FitShape = 'pair' | 'float' | 'feelers' | 'length' | 'runout';

/** Where a fit is found on an engine, for a list of its places. */
type PlacesAt = 'mains' | 'cylinders' | 'rings' | 'valves' | 'one';

export interface FitKind {
  readonly id: string;
  readonly name: string;
  readonly shape: FitShape;
  readonly at: PlacesAt;
  /** The inner and the outer side of a pair, as they are called. */
  readonly sides: readonly [inner: string, outer: string];
  /** True where two lengths are compared, not two diameters: the inner may well be the longer, and then it bottoms. */
  readonly along: boolean;
  /** What it is read with where no reading says so yet, the inner or only side first. */
  readonly gauges: readonly [string, string];
  /** True for a plain length as large as a size, not as small as a gap. */
  readonly isSize: boolean;
  /** True where the inner side is the larger: a press or a shrink fit. */
  readonly interference: boolean;
  readonly stations: number;
  readonly angles: number;
  readonly conditions: Readonly<Partial<Record<Part, readonly ConditionId[]>>>;
  readonly remedies: readonly RemedyId[];
  /** What is marked where parts must not change places: a ring, with a scratch of its own. */
  readonly piece?: string;
  /** Where no page speaks. */
  readonly rule?: ClearanceRule & { readonly source: string };
  /** Where it depends on something that has to be said first: each with what it goes by. */
  readonly rules?: readonly (ClearanceRule & { readonly name: string; readonly source: string })[];
}

const CAP: readonly ConditionId[] = ['cap-final', 'final-bolts'];
const STRIP: readonly ConditionId[] = [...CAP, 'dry', 'shaft-still'];
const PLAIN_BEARING = { bore: CAP, strip: STRIP } as const;
const TAPPET: readonly ConditionId[] = ['valve-shut', 'warm-as-page', 'head-final'];
const OIL_RULE = {
  perDiameter: [0.00075, 0.001],
  floor_mm: 0.025,
  source: 'rule of thumb for plain bearings',
} as const;

const RING_RULES = [
  { name: 'Water-cooled', perDiameter: [0.0035, 0.004], source: 'rule of thumb, top ring, road use, water-cooled' },
  { name: 'Air-cooled', perDiameter: [0.004, 0.005], source: 'rule of thumb, top ring, road use, air-cooled' },
] as const;

const floats = (conditions: readonly ConditionId[]): FitKind['conditions'] => ({
  push: conditions,
  pull: conditions,
  zero: conditions,
  goes: conditions,
  stops: conditions,
});

const GAUGES: Readonly<Record<FitShape, readonly [string, string]>> = {
  pair: ['Micrometer', 'Bore gauge'],
  float: ['Dial', ''],
  feelers: ['Feelers', ''],
  length: ['Feelers', ''],
  runout: ['Dial', ''],
};

const kind = (row: Pick<FitKind, 'id' | 'name' | 'shape'> & Partial<FitKind>): FitKind => ({
  at: 'one',
  sides: ['Journal', 'Bore'],
  interference: false,
  along: false,
  isSize: false,
  gauges: GAUGES[row.shape],
  stations: 1,
  angles: 1,
  conditions: {},
  remedies: ['machine', 'replace'],
  ...row,
});

/** Every kind of fit that a sheet can be made of, in the order in which an engine is measured. */
export const FIT_KINDS: readonly FitKind[] = [
  kind({ id: 'main-clearance', name: 'Main bearings, oil clearance', shape: 'pair', at: 'mains', stations: 2, angles: 2, conditions: PLAIN_BEARING, remedies: ['polish', 'next-shell', 'machine-bore', 'machine-journal', 'replace'], rule: OIL_RULE }),
  kind({ id: 'big-end-clearance', name: 'Big ends, oil clearance', shape: 'pair', at: 'cylinders', stations: 2, angles: 2, conditions: PLAIN_BEARING, remedies: ['polish', 'next-shell', 'machine-bore', 'machine-journal', 'replace'], rule: OIL_RULE }),
  kind({ id: 'crank-float', name: 'Crankshaft end float', shape: 'float', stations: 3, conditions: floats(['cap-final', 'seal-out']), remedies: ['shim', 'machine', 'replace'] }),
  kind({ id: 'cam-float', name: 'Camshaft end float', shape: 'float', stations: 3, conditions: floats(['cover-tight', 'seal-out']), remedies: ['shim', 'machine', 'replace'] }),
  kind({ id: 'rod-side', name: 'Big ends, side clearance', shape: 'feelers', at: 'cylinders', stations: 2 }),
  kind({ id: 'piston-bore', name: 'Piston to bore', shape: 'pair', at: 'cylinders', sides: ['Piston', 'Bore'], stations: 2, angles: 2, remedies: ['machine-bore', 'replace'] }),
  kind({ id: 'ring-gap', name: 'Ring gap', shape: 'length', at: 'rings', piece: 'Ring', conditions: { length: ['squared'] }, remedies: ['file', 'replace'], rules: RING_RULES }),
  kind({ id: 'ring-groove', name: 'Ring in its groove', shape: 'feelers', at: 'rings', stations: 3 }),
  kind({ id: 'valve-guide', name: 'Valve in its guide', shape: 'pair', at: 'valves', sides: ['Stem', 'Guide'], stations: 2, remedies: ['machine-bore', 'replace'] }),
  kind({ id: 'backlash', name: 'Backlash', shape: 'float', stations: 3, remedies: ['shim', 'machine', 'replace'] }),
  kind({ id: 'runout', name: 'Runout', shape: 'runout', stations: 3, remedies: ['straighten', 'machine', 'replace'] }),
  kind({ id: 'valve-clearance', name: 'Valve clearance', shape: 'feelers', at: 'valves', conditions: { goes: TAPPET, stops: TAPPET }, remedies: ['adjust', 'shim', 'machine', 'replace'] }),
  kind({ id: 'spring-height', name: 'Spring, fitted height', shape: 'length', at: 'valves', isSize: true, gauges: ['Caliper', ''], remedies: ['shim', 'machine', 'replace'] }),
  kind({ id: 'press-fit', name: 'Press or shrink fit', shape: 'pair', sides: ['Shaft', 'Housing'], interference: true, stations: 2, angles: 2, remedies: ['machine-bore', 'machine-journal', 'replace'] }),
  kind({ id: 'stud-hole', name: 'Stud and depth of its hole', shape: 'pair', sides: ['Stud', 'Hole'], along: true, gauges: ['Caliper', 'Depth gauge'], remedies: ['deepen-hole', 'shorten-stud', 'replace'] }),
  kind({ id: 'stud-height', name: 'Stud, height above its face', shape: 'length', isSize: true, gauges: ['Depth gauge', ''] }),
  kind({ id: 'own-pair', name: 'Two diameters of your own', shape: 'pair', sides: ['Inner', 'Outer'], stations: 2, angles: 2, remedies: ['polish', 'machine-bore', 'machine-journal', 'replace'] }),
  kind({ id: 'own-float', name: 'Play of your own, by dial or feelers', shape: 'float', stations: 3, remedies: ['shim', 'machine', 'replace'] }),
  kind({ id: 'own-length', name: 'Length of your own', shape: 'length', isSize: true, gauges: ['Caliper', ''] }),
  kind({ id: 'own-gap', name: 'Gap of your own, by feelers', shape: 'feelers' }),
]; // prettier-ignore

const BY_ID = new Map(FIT_KINDS.map((one) => [one.id, one]));

/** The kind of that name; a fit read from a file may name one that is not known here. */
export const fitKind = (id: string): FitKind | undefined => BY_ID.get(id);

export interface EngineMake {
  readonly cylinders: number;
  readonly mains: number;
  readonly rings: number;
  readonly valves: number;
}

const numbered = (count: number) => Array.from({ length: count }, (_, i) => `${i + 1}`);

/** The places of a kind of fit on an engine of this make: `1`, `2`, … or `Bore 1, ring 2`. */
export function placesOf(at: PlacesAt, { cylinders, mains, rings, valves }: EngineMake): readonly string[] {
  switch (at) {
    case 'mains':
      return numbered(mains);
    case 'cylinders':
      return numbered(cylinders);
    case 'valves':
      return numbered(valves);
    case 'rings':
      return numbered(cylinders).flatMap((bore) => numbered(rings).map((ring) => `Bore ${bore}, ring ${ring}`));
    case 'one':
      return ['1'];
  }
}
