import type { Engine } from '@/model/engine/engine';
import type { Fit, FitLine, Shim } from '@/model/fit/fit';
import { worstFirst, type FitContext, type FitState } from '@/model/fit/fit-state';
import { contextOfFit, fitsOfEngine } from '@/db/reads/fits-of-engine';
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

/** Leaves of an engine that give a length: clearances, end floats, stretches. */
export function lengthLeaves(shop: Shop, engineId: string): readonly LengthLeaf[] {
  const leaves = shop.book.leaves(engineId);
  const replaced = new Set(leaves.map((leaf) => leaf.replacesId));
  const titles = new Map(shop.book.sources(engineId).map(({ id, title }) => [id, title]));
  return leaves
    .filter((leaf) => !replaced.has(leaf.id) && leaf.min_mm !== null && leaf.kind !== 'stretch')
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

/** One fit with everything its sheet needs. */
export function fitPage(shop: Shop, engine: Engine, fitId: string): FitPage | undefined {
  const fit = shop.fits.find(fitId);
  if (fit?.engineId !== engine.id) return undefined;
  return {
    fit,
    lines: shop.fits.lines(fit.id),
    context: contextOfFit(shop, fit),
    leaves: lengthLeaves(shop, engine.id),
    joints: shop.joints.ofEngine(engine.id).map(({ id, name }) => ({ id, name })),
    shims: fit.detail.shim ? shop.shims.inFamily(fit.detail.shim.family) : [],
  };
}

export interface FitsPage {
  readonly engine: Engine;
  readonly fits: readonly FitState[];
  readonly joints: readonly NamedJoint[];
}

/** Every fit of an engine, worst first. */
export const fitsPage = (shop: Shop, engine: Engine): FitsPage => ({
  engine,
  fits: worstFirst(fitsOfEngine(shop, engine.id)),
  joints: shop.joints.ofEngine(engine.id).map(({ id, name }) => ({ id, name })),
});
