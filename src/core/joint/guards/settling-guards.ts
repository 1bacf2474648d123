import type { ParentMetal } from '@/core/fastener';
import { EXPANSIONS_UM_PER_MK } from '@/core/units';
import type { LadderFastener } from '../rungs/rung';
import { LIMIT, ask, kN, mm, pct, stop, type Guard, type GuardInput } from './guard';
import { isLight } from './strip-load';

const STEEL_MPA = 205_000;
/** Half the head and half the engaged thread stretch with what is clamped: about a diameter. */
const ENDS_D = 1;
/** Rough surfaces bed down by about this much, three of them together; judgement. @source VDI 2230, fz */
const EMBEDDING_MM = 0.01;
/** From here on what beds down is worth a word. */
const WORTH_SAYING = 0.1;
const ROOM_C = 20;

const PER_K = 1e-6;

/** How much more a light alloy grows than steel, 1/K. */
const growsMore = ({ id, name }: ParentMetal): number => {
  const { steel, magnesium, aluminium } = EXPANSIONS_UM_PER_MK;
  return ((/magnes/i.test(`${id} ${name}`) ? magnesium : aluminium) - steel) * PER_K;
};

/**
 * Stiffness of the bolt alone over what it clamps, N/mm: k = E·A/(L + d). What it clamps gives too, so that every load
 * that follows from it is the most that there can be.
 */
export function boltStiffness({ thread, shank_mm }: LadderFastener, grip_mm: number): number {
  const shank = shank_mm === undefined ? Infinity : (Math.PI / 4) * shank_mm ** 2;
  return (STEEL_MPA * Math.min(thread.stressArea_mm2, shank)) / (grip_mm + ENDS_D * thread.major_mm);
}

/**
 * What a light alloy between a steel bolt's ends adds to its load when hot, N: k·L·(α − α steel)·(T − 20). Nothing
 * where it is not known that it is light, how long or how hot.
 */
export function hotRise({ today, underHead, reach, hottest_C }: GuardInput): number {
  const { grip_mm } = reach;
  if (!underHead || !isLight(underHead) || grip_mm === undefined || hottest_C === undefined) return 0;
  const stretch_mm = grip_mm * growsMore(underHead) * Math.max(0, hottest_C - ROOM_C);
  return boltStiffness(today, grip_mm) * stretch_mm;
}

/** Load that comes when the engine is hot. The torsion of the pull is taken to be still there. */
export function hotGuards(input: GuardInput): readonly Guard[] {
  const { ladder, today, underHead, hottest_C } = input;
  const rise_N = hotRise(input);
  const { yield_MPa } = today;
  const { preload_N, equivalent_MPa } = ladder.load.most;
  if (rise_N === 0 || yield_MPa === undefined || ladder.clamp !== 'clamps') return [];
  const share = (equivalent_MPa * (1 + rise_N / preload_N)) / yield_MPa;
  if (share <= LIMIT || equivalent_MPa / yield_MPa > LIMIT) return [];
  const said = `Hot, at ${hottest_C ?? 0} °C, the ${underHead?.name.toLowerCase() ?? ''} grows more than the steel: up to ${kN(rise_N)} come to the clamp load, and the fastener is at ${pct(share)} of its yield.`;
  return [share > 1 ? stop('over-yield-hot', said) : ask('over-limit-hot', said)];
}

/** What beds down is a large share of a short bolt's stretch. */
export function embeddingGuards({ ladder, today, reach }: GuardInput): readonly Guard[] {
  const { grip_mm } = reach;
  if (grip_mm === undefined || ladder.clamp !== 'clamps') return [];
  const loss_N = boltStiffness(today, grip_mm) * EMBEDDING_MM;
  const share = loss_N / ladder.band.p50_N;
  if (share < WORTH_SAYING) return [];
  return [
    ask(
      'embeds',
      `It clamps only ${mm(grip_mm)}: where the faces bed down by a hundredth of a millimetre, up to ${kN(Math.min(loss_N, ladder.band.p50_N))} of its ${kN(ladder.band.p50_N)} go (${pct(Math.min(1, share))}). Clean, flat faces and a second going-round at the same figure keep it.`,
    ),
  ];
}
