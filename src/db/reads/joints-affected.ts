import type { Film } from '@/core/film';
import { isDomainError, type TorqueUnit } from '@/core/units';
import type { Joint } from '@/model/joint/joint';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { inputsOfKinds } from '@/model/joint/fastener-kind';
import { computeJoint } from '@/model/joint/joint-result';
import { tryCore } from '@/model/try-core';
import type { Shop } from '../shop';
import { inputsOfJoints } from './joint-inputs';
import { shelvesOf } from './shelves-of-shop';

/** A joint whose figure a change of film would move. */
export interface AffectedJoint {
  readonly engine: string;
  readonly joint: string;
  readonly href: string;
  readonly unit: TorqueUnit;
  readonly before: number;
  readonly after: number;
}

/** Names of the joints that draw on a row of a shelf. */
export const jointsReferringTo = (shop: Shop, id: string): readonly string[] =>
  shop.joints.referringTo(id).map(({ name }) => name);

const drawsOn = ({ originalFilm, todayFilm, detail }: Joint, film: string) =>
  [originalFilm, todayFilm, detail.headFilm, detail.maker?.film].includes(film);

/** What a joint's figure is today, and what it would be; undefined where it would not move or cannot be reckoned. */
function moveOf(inputs: JointInputs, film: Film): Pick<AffectedJoint, 'unit' | 'before' | 'after'> | undefined {
  const { joint, shelves } = inputs;
  try {
    const before = computeJoint(inputs);
    const after = computeJoint({
      ...inputs,
      joint: { ...joint, wrenchId: before.wrench.id, detail: { ...joint.detail, wrenchByHand: true } },
      shelves: { ...shelves, films: [...shelves.films.filter(({ id }) => id !== film.id), film] },
    });
    const [was, will] = [before.ladder.setting.rounded, after.ladder.setting.rounded];
    return was === will ? undefined : { unit: before.wrench.unit, before: was, after: will };
  } catch (error) {
    if (isDomainError(error)) return undefined;
    throw error;
  }
}

/**
 * Every joint whose setting would move if this film stood on the shelf as given; in five queries at any size of shop.
 */
export function jointsAffectedBy(shop: Shop, film: Film, now: number): readonly AffectedJoint[] {
  const joints = shop.joints.referringTo(film.id);
  const names = new Map(
    shop.engines.byIds([...new Set(joints.map(({ engineId }) => engineId))]).map((e) => [e.id, e.name]),
  );
  // Fasteners of another kind have a figure of their own, which may move alone.
  const all = inputsOfJoints(shop, joints, shelvesOf(shop), now).flatMap((inputs) => {
    const kinds = tryCore(() => inputsOfKinds(inputs).map((one) => one.inputs));
    return [inputs, ...(kinds.ok ? kinds.result : [])].filter(({ joint }) => drawsOn(joint, film.id));
  });
  return all.flatMap((inputs): readonly AffectedJoint[] => {
    const move = moveOf(inputs, film);
    const { engineId, id, name } = inputs.joint;
    const href = `/engines/${engineId}/joints/${id}`;
    return move ? [{ engine: names.get(engineId) ?? '', joint: name, href, ...move }] : [];
  });
}
