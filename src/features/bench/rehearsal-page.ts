import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Engine } from '@/model/engine/engine';
import { inputsOf } from '@/model/engine/engine-rows';
import { leafIdsOf } from '@/model/joint/fastener-kind';
import type { Joint } from '@/model/joint/joint';
import { prevailingOf } from '@/model/joint/joint-result';
import { planOfJoint } from '@/model/joint/round-plan';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import type { Bench } from '@/server/shop-action';
import { knownOfPlaces, type KnownOfPlaces } from './known-of-places';

export interface RehearsalPage {
  readonly engine: Engine;
  readonly joint: Joint;
  readonly plan: TighteningPlan;
  readonly known: KnownOfPlaces;
  /** What a locking nut of each kind turns with by itself, by the kind's name; the joint's own under ''. */
  readonly prevailing_Nm: Readonly<Record<string, number>>;
}

/** A joint as it would be gone round now. Nothing is begun by looking at it. @throws DomainError */
export function rehearsalPage(shop: Bench['shop'], jointId: string, now: number): RehearsalPage | undefined {
  const joint = shop.joints.find(jointId);
  const engine = joint && shop.engines.find(joint.engineId);
  if (!joint || !engine) return undefined;
  const leaves = shop.book.leavesByIds([...new Set(leafIdsOf(joint))]);
  const sources = shop.book.sourcesByIds([...new Set(leaves.map(({ sourceId }) => sourceId))]);
  const inputs = inputsOf({ engine, leaves, sources }, joint, shelvesOf(shop), now);
  return {
    engine,
    joint,
    plan: planOfJoint(inputs),
    known: knownOfPlaces(joint, shop.bolts.ofJoint(joint.id), inputs),
    prevailing_Nm: prevailingOf(inputs),
  };
}
