import { currentLeaves } from '@/model/book/current-leaves';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { EngineState } from '@/model/engine/engine-state';
import { openingsOfFits } from '@/model/engine/engine-rows';
import { contextOf } from '@/model/fit/fit-context';
import { pagesOf } from '@/model/fit/fit-page';
import type { Joint } from '@/model/joint/joint';
import type { Engine } from '@/model/engine/engine';
import type { Fit, FitLine, Shim } from '@/model/fit/fit';
import type { FitContext } from '@/model/fit/fit-context';
import { worstFirst } from '@/model/fit/fit-state';
import { worstPlaceOf, type FitPlace, type FitState } from '@/model/fit/place-state';
import type { Leaf } from '@/model/book/leaf';
import type { Shop } from '@/db/shop';

/** A leaf that may say what is wanted of a fit. */
export interface LengthLeaf extends Pick<Leaf, 'id' | 'subject' | 'page' | 'printedText' | 'min_mm' | 'max_mm'> {
  readonly source: string;
}

export interface NamedJoint {
  readonly id: string;
  readonly name: string;
}

export interface FitPage {
  readonly fit: Fit;
  readonly lines: readonly FitLine[];
  readonly context: FitContext;
  readonly leaves: readonly LengthLeaf[];
  readonly joints: readonly NamedJoint[];
  readonly shims: readonly Shim[];
}

type Book = Pick<EngineRows, 'leaves' | 'sources'>;

/** Leaves of an engine that give a length: clearances, end floats. */
export function lengthLeaves({ leaves, sources }: Book): readonly LengthLeaf[] {
  const titles = new Map(sources.map(({ id, title }) => [id, title]));
  return currentLeaves(leaves)
    .filter((leaf) => leaf.min_mm !== null && leaf.kind !== 'stretch')
    .map(({ id, subject, page, printedText, min_mm, max_mm, sourceId }) => ({
      id,
      subject,
      page,
      printedText,
      min_mm,
      max_mm,
      source: titles.get(sourceId) ?? '',
    }));
}

const named = (joints: readonly Joint[]): readonly NamedJoint[] => joints.map(({ id, name }) => ({ id, name }));

/** One fit with everything its sheet needs, in one query beside the engine's rows. */
export function fitPage(shop: Shop, rows: EngineRows, fitId: string): FitPage | undefined {
  const { leaves, sources, joints, tightenings, order, bolts } = rows;
  const fit = rows.fits.find(({ id }) => id === fitId);
  if (!fit) return undefined;
  const page = pagesOf(leaves, sources)(fit);
  return {
    fit,
    lines: rows.lines.get(fit.id) ?? [],
    context: contextOf(fit, page, joints, tightenings, openingsOfFits(order.buildLines, bolts)),
    leaves: lengthLeaves({ leaves, sources }),
    joints: named(joints),
    shims: fit.detail.shim ? shop.shims.inFamily(fit.detail.shim.family) : [],
  };
}

const NOT_LISTED: FitPlace['current'] = new Map();

export interface FitsPage {
  readonly engine: Engine;
  readonly fits: readonly FitState[];
  readonly joints: readonly NamedJoint[];
}

/** As the list draws it: single readings stand in the working alone, and that is of its worst place. */
function listed(judged: FitState): FitState {
  const worst = worstPlaceOf(judged);
  const places = judged.places.map((place) => ({
    ...place,
    current: place === worst ? place.current : NOT_LISTED,
    beneath: [],
  }));
  return { ...judged, places };
}

/** Every fit of an engine, worst first; of the readings those of the worst place of each. */
export const fitsPage = ({ engine, fits, joints }: EngineState): FitsPage => ({
  engine,
  fits: worstFirst(fits).map(listed),
  joints: named(joints.map(({ joint }) => joint)),
});
