import type { Film } from '@/core/film';
import { isDomainError, type TorqueUnit } from '@/core/units';
import { jointInputs } from './joint-inputs';
import { computeJoint } from '@/model/joint/joint-result';
import type { Joint } from '@/model/joint/joint';
import type { Shop } from '../shop';

/** A joint whose figure a change of film would move. */
export interface AffectedJoint {
  readonly engine: string;
  readonly joint: string;
  readonly href: string;
  readonly unit: TorqueUnit;
  readonly before: number;
  readonly after: number;
}

const allJoints = (shop: Shop): readonly Joint[] =>
  shop.engines.all().flatMap((engine) => shop.joints.ofEngine(engine.id));

/** Names of the joints that draw on a row of a shelf. */
export const jointsReferringTo = (shop: Shop, id: string): readonly string[] =>
  allJoints(shop)
    .filter((joint) => JSON.stringify(joint).includes(JSON.stringify(id)))
    .map((joint) => joint.name);

/** Every joint whose setting would move if this film stood on the shelf as given. */
export function jointsAffectedBy(shop: Shop, film: Film, now: number): readonly AffectedJoint[] {
  return allJoints(shop).flatMap((joint): readonly AffectedJoint[] => {
    if (![joint.originalFilm, joint.todayFilm, joint.detail.headFilm, joint.detail.maker?.film].includes(film.id))
      return [];
    try {
      const setting = jointInputs(shop, joint, now);
      const films = [...setting.shelves.films.filter((one) => one.id !== film.id), film];
      const before = computeJoint(setting);
      const after = computeJoint({
        ...setting,
        joint: { ...joint, wrenchId: before.wrench.id, detail: { ...joint.detail, wrenchByHand: true } },
        shelves: { ...setting.shelves, films },
      });
      if (before.ladder.setting.rounded === after.ladder.setting.rounded) return [];
      const engine = shop.engines.find(joint.engineId)?.name ?? '';
      const href = `/engines/${joint.engineId}/joints/${joint.id}`;
      return [
        {
          engine,
          joint: joint.name,
          href,
          unit: before.wrench.unit,
          before: before.ladder.setting.rounded,
          after: after.ladder.setting.rounded,
        },
      ];
    } catch (error) {
      if (isDomainError(error)) return [];
      throw error;
    }
  });
}
