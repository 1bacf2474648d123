import { assertPositive, wrongInput, type Note } from '@/core/units';
import { assertAbovePrevailing, preloadOf, tighteningStress, torqueOf } from './clamp';
import { assertTurned, type TurnedFastener } from './tightening-arm';

export interface CorrectedFastener extends TurnedFastener {
  readonly yield_MPa?: number;
}

export interface TodaysFastener extends CorrectedFastener {
  /** The slippery end of today's film: the torque is fixed, so it is there that the bolt is loaded most. */
  readonly slippery?: { readonly muThread: number; readonly muHead: number };
}

export interface Load {
  readonly equivalent_MPa: number;
  readonly utilisation?: number;
}

export interface Correction {
  readonly torque_Nm: number;
  readonly ratio: number;
  readonly preload_N: number;
  readonly from: Load;
  readonly to: Load & { readonly slippery?: Load & { readonly preload_N: number } };
  readonly notes: readonly Note[];
}

const LIMIT = 0.9;

/** Stress at a clamp load, and its share of yield where that is known. */
export const loadAt = (fastener: CorrectedFastener, preload_N: number): Load => {
  const { equivalent_MPa } = tighteningStress(fastener, preload_N);
  return fastener.yield_MPa === undefined
    ? { equivalent_MPa }
    : { equivalent_MPa, utilisation: equivalent_MPa / fastener.yield_MPa };
};

/** What a share of yield over the limit is told by. */
export function notesFor(load: Load, atSlippery = false): readonly Note[] {
  const share = load.utilisation;
  if (share === undefined || share <= LIMIT) return [];
  const where = atSlippery ? ' at the slippery end of the lubricant' : '';
  const percent = `${(share * 100).toFixed(0)} %`;
  return share > 1
    ? [{ code: 'over-yield', message: `The fastener would be past its yield${where}: ${percent} of it.` }]
    : [{ code: 'over-limit', message: `The fastener would be at ${percent} of its yield${where}; 90 % is the limit.` }];
}

export function assertFastener(fastener: CorrectedFastener, at = ''): void {
  assertTurned(fastener, at);
  if (fastener.yield_MPa !== undefined) assertPositive(fastener.yield_MPa, `${at}yield_MPa`);
}

function slipperyLoad(to: TodaysFastener, torque_Nm: number) {
  if (!to.slippery) return undefined;
  const slippery = { ...to, ...to.slippery };
  assertTurned(slippery, 'to.slippery.');
  for (const friction of ['muThread', 'muHead'] as const)
    if (to.slippery[friction] > to[friction])
      throw wrongInput(
        `to.slippery.${friction}`,
        `must not be more at the slippery end than at the other (${to[friction]}), got ${to.slippery[friction]}.`,
      );
  const preload_N = preloadOf(slippery, torque_Nm);
  return { preload_N, ...loadAt(slippery, preload_N) };
}

/**
 * The torque that gives today's fastener, in today's film, the clamp load that the printed torque gave the original.
 * T' = F·c' + Tp', F = (T − Tp)/c
 * @throws DomainError bad-field
 */
export function correct(printed_Nm: number, from: CorrectedFastener, to: TodaysFastener): Correction {
  assertFastener(from, 'from.');
  assertFastener(to, 'to.');
  assertAbovePrevailing(printed_Nm, from.prevailing_Nm, 'printed_Nm');
  const preload_N = preloadOf(from, printed_Nm);
  const torque_Nm = torqueOf(to, preload_N);
  const slippery = slipperyLoad(to, torque_Nm);
  const today = loadAt(to, preload_N);
  return {
    torque_Nm,
    ratio: torque_Nm / printed_Nm,
    preload_N,
    from: loadAt(from, preload_N),
    to: slippery ? { ...today, slippery } : today,
    notes: notesFor(slippery ?? today, slippery !== undefined),
  };
}
