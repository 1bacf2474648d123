import type { Fit } from '@/model/fit/fit';
import { pagesOfFits } from './fit-page';
import { fitState, type FitContext, type FitState } from '@/model/fit/fit-state';
import type { Joint } from '@/model/joint/joint';
import type { Shop } from '../shop';
import { stripsIn } from '@/model/fit/fit-gate';
import { contextOf } from '@/model/fit/fit-context';

/** What one fit's readings rest on outside of it. */
export function contextOfFit(shop: Shop, fit: Fit): FitContext {
  const page = pagesOfFits(shop, fit.engineId, [fit])(fit);
  if (fit.jointId === null) return contextOf(fit, page, [], []);
  return contextOf(fit, page, shop.joints.ofEngine(fit.engineId), shop.tightenings.rounds(fit.engineId));
}

/** Every fit of an engine with where it stands, in six queries however many there are. */
export function fitsOfEngine(shop: Shop, engineId: string, joints?: readonly Joint[]): readonly FitState[] {
  const fits = shop.fits.ofEngine(engineId);
  if (fits.length === 0) return [];
  const lines = shop.fits.linesOfEngine(engineId);
  const linked = fits.some(({ jointId }) => jointId !== null);
  const own = linked ? (joints ?? shop.joints.ofEngine(engineId)) : [];
  const rounds = linked ? shop.tightenings.rounds(engineId) : [];
  const pageOf = pagesOfFits(shop, engineId, fits);
  return fits.map((fit) => fitState(fit, lines.get(fit.id) ?? [], contextOf(fit, pageOf(fit), own, rounds)));
}

export const stripsInEngine = (shop: Shop, engineId: string | undefined): readonly string[] =>
  engineId === undefined ? [] : stripsIn(fitsOfEngine(shop, engineId));
