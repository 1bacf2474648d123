import { evenness, goRound, pullsOf, roundOf, type Evenness } from '@/core/interaction';
import { clampMap, givingOfJoint } from '@/model/joint/clamp-map';
import type { ClampMapFacts } from '@/model/joint/clamp-map-facts';
import type { Joint } from '@/model/joint/joint';
import { turnOf } from '@/model/joint/joint-shape';

interface Row {
  readonly name: string;
  readonly even: Evenness;
}

/** Everything that is shown of a plan: its pulls, and other ways at the side of it. @throws DomainError */
export function worksOf(joint: Joint, facts: ClampMapFacts, targets: readonly number[]) {
  const giving = givingOfJoint(joint, facts);
  const turn = turnOf(joint);
  const final_N = targets.at(-1) ?? 0;
  const after = (order: readonly number[], passes: readonly number[]) =>
    evenness(goRound(roundOf(giving, pullsOf(order, passes))));
  const confirmed = targets.filter((target) => target === final_N).length > 1;
  const rising = confirmed ? targets.slice(0, -1) : targets;
  const others: readonly Row[] = [
    { name: 'In one pass', even: after(turn, [final_N]) },
    confirmed
      ? { name: 'Without the confirming round', even: after(turn, rising) }
      : { name: 'With a confirming round', even: after(turn, [...targets, final_N]) },
    { name: 'The same turn backwards, as many passes', even: after([...turn].reverse(), targets) },
  ];
  const map = clampMap(giving, turn, targets);
  return { giving, turn, targets, map, own: evenness(map.frames.at(-1)?.forces_N ?? []), others };
}

export type ClampWorks = ReturnType<typeof worksOf>;
