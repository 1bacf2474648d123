import { useMemo } from 'react';
import { isDomainError } from '@/core/units';
import type { PlannedStage } from '@/core/tightening';
import { inputsOfKinds, ofKind, type KindInputs } from '@/model/joint/fastener-kind';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { computeJoint, stagesOfJoint, type JointResult } from '@/model/joint/joint-result';
import { tryCore } from '@/model/try-core';
import { originalFilmReason } from './film-reason';

/** The figure of fasteners that are alike, as far as it can be reckoned. */
export interface WorkedFigure {
  readonly setting: JointInputs;
  readonly worked?: JointResult;
  readonly stageList: readonly PlannedStage[];
  /** Why it cannot be. */
  readonly refusal?: string;
}

export interface WorkedKind extends WorkedFigure {
  readonly kind: KindInputs['kind'];
}

function workedFigure(setting: JointInputs, name?: string): WorkedFigure {
  try {
    const worked = name === undefined ? computeJoint(setting) : ofKind({ name }, () => computeJoint(setting));
    // What cannot be set has no stages; that it cannot is said among what stands against it.
    const staged = tryCore(() => stagesOfJoint(setting, worked));
    return { setting, worked, stageList: staged.ok ? staged.result : [] };
  } catch (error) {
    if (isDomainError(error)) return { setting, stageList: [], refusal: error.message };
    throw error;
  }
}

/** With the reason for the book's lubricant as the page and the shop have it now. */
function withFilmReason(setting: JointInputs): JointInputs {
  const { joint, leaf, shelves } = setting;
  if (joint.detail.standard) return setting;
  const reason = originalFilmReason(leaf.conditionText, joint.originalFilm, shelves.practice);
  return { ...setting, joint: { ...joint, originalFilmReason: reason } };
}

/** A joint worked out as it stands on its sheet: its own fasteners, and each of its kinds. */
export function useWholeJoint(setting: JointInputs): {
  readonly own: WorkedFigure;
  readonly kinds: readonly WorkedKind[];
  readonly refusal?: string;
} {
  return useMemo(() => {
    const own = workedFigure(withFilmReason(setting));
    const found = tryCore(() => inputsOfKinds(setting));
    const kinds = found.ok
      ? found.result.map(({ kind, inputs }) => ({ kind, ...workedFigure(withFilmReason(inputs), kind.name) }))
      : [];
    const refusal = found.ok
      ? (own.refusal ?? kinds.find((kind) => kind.refusal !== undefined)?.refusal)
      : found.error.message;
    return { own, kinds, ...(refusal !== undefined && { refusal }) };
  }, [setting]);
}
