'use client';

import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { slotBasis, type SlotBasis } from '@/model/joint/slotted-nut';
import { tryCore } from '@/model/try-core';
import { Disclosure } from '@/interface/parts/disclosure';
import { Notice } from '@/interface/parts/screen';
import { SlotFields, SlotOutcome, useSlotCost } from '@/interface/parts/slot-cost';

interface Props {
  readonly setting: JointInputs;
  readonly worked: JointResult;
}

const REMEDIES =
  'Another nut, a washer of another thickness, or a little off the nut’s face brings a slot to the hole at the figure: the bench records which. Back to a hole it is never turned.';

function Cost({ basis }: { readonly basis: SlotBasis }) {
  const { found, ...fields } = useSlotCost(basis);
  return (
    <>
      <SlotFields {...fields} />
      <div aria-live="polite">
        {found && !found.ok && <Notice kind="stop">{found.error.message}</Notice>}
        {found?.ok && <SlotOutcome found={found.result} from_N={basis.preload_N} remedies={REMEDIES} />}
      </div>
    </>
  );
}

/** A slotted nut at its figure: how far on the next slot is, and what it costs to go there. */
export function SlotFold({ setting, worked }: Props) {
  const basis = tryCore(() => slotBasis(setting, worked));
  return (
    <Disclosure title="A slot to the hole" line="slotted nut and pin">
      <p className="soft">
        Pull it to its figure first. If no slot meets a hole then, it only goes on: what that costs is reckoned here, as
        long as everything gives elastically, at the middle of what the figure gives.
      </p>
      {basis.ok ? <Cost basis={basis.result} /> : <Notice kind="stop">{basis.error.message}</Notice>}
    </Disclosure>
  );
}
