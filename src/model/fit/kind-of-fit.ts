import { fitKind, type FitKind, type ReadingPlan } from '@/core/fits';
import type { Fit } from './fit';

/** A fit whose kind this program does not know is still shown, as a pair of diameters of one's own. */
export const kindOf = (fit: Pick<Fit, 'kind'>): FitKind => fitKind(fit.kind) ?? (fitKind('own-pair') as FitKind);

export const planOfFit = (fit: Fit): ReadingPlan => ({
  kind: kindOf(fit),
  methods: fit.methods,
  stations: fit.stations,
  angles: fit.angles,
});
