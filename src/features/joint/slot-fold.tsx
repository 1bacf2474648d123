'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { toTheSlot, type SlotFacts, type ToTheSlot } from '@/model/joint/slotted-nut';
import { tryCore } from '@/model/try-core';
import { useFigures } from '@/interface/figures/preferences';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Notice } from '@/interface/parts/screen';

interface Props {
  readonly setting: JointInputs;
  readonly worked: JointResult;
}

type Cells = { readonly [Field in keyof SlotFacts]: number | null };

const isWhole = (cells: Cells): cells is SlotFacts => Object.values(cells).every((value) => value !== null);

const REMEDIES =
  'Another nut, a washer of another thickness, or a little off the nut’s face brings a slot to the hole at the figure: each is written down with the joint. Back to a hole it is never turned.';

function Outcome({ turn_deg, further, from_N }: ToTheSlot & { readonly from_N: number }) {
  const { significant, kilonewtons, torque } = useFigures();
  if (turn_deg === 0) return <Notice kind="plain">A slot meets a hole as it stands: the pin goes in.</Notice>;
  const { preload_N, torque_Nm, equivalent_MPa, utilisation, notes } = further;
  return (
    <>
      <p>
        The next slot meets a hole <b>{significant(turn_deg)}°</b> further on. The clamp load goes from{' '}
        {kilonewtons(from_N)} to <b>{kilonewtons(preload_N)}</b>, as {torque(torque_Nm)} would give it; the stress to{' '}
        {significant(equivalent_MPa)} N/mm²
        {utilisation === undefined
          ? ', and what of its yield that is nobody knows: its grade was not said'
          : `, ${significant(utilisation * 100, 2)} % of its yield`}
        .
      </p>
      {notes.length > 0 && (
        <Notice kind="stop">
          {notes.map(({ message }) => message).join(' ')} {REMEDIES}
        </Notice>
      )}
      {notes.length === 0 && (
        <p className="soft">{utilisation === undefined ? REMEDIES : 'The limit allows it. Never back.'}</p>
      )}
    </>
  );
}

/** A slotted nut at its figure: how far on the next slot is, and what it costs to go there. */
export function SlotFold({ setting, worked }: Props) {
  const [cells, setCells] = useState<Cells>({
    slots: 6,
    holes: 1,
    slot_deg: null,
    stiffness_N_per_mm: setting.joint.detail.clampMap?.boltStiffness_N_per_mm ?? null,
  });
  const put = (part: Partial<Cells>) => setCells((was) => ({ ...was, ...part }));
  const found = isWhole(cells) ? tryCore(() => toTheSlot(setting, worked, cells)) : undefined;
  return (
    <Disclosure title="A slot to the hole" line="slotted nut and pin">
      <p className="soft">
        Pull it to its figure first. If no slot meets a hole then, it only goes on: what that costs is reckoned here, as
        long as everything gives elastically, at the middle of what the figure gives.
      </p>
      <div className={form.grid}>
        <NativeSelect
          label="Slots in the nut"
          data={['4', '5', '6', '8', '10']}
          value={String(cells.slots)}
          onChange={(event) => put({ slots: Number(event.currentTarget.value) })}
        />
        <NativeSelect
          label="Holes in the stud"
          data={[
            { value: '1', label: 'one, right through' },
            { value: '2', label: 'two, at right angles' },
          ]}
          value={String(cells.holes)}
          onChange={(event) => put({ holes: Number(event.currentTarget.value) })}
        />
        <MeasureField
          kind="number"
          zero
          label="A slot past the hole, degrees"
          description="From the hole back to the last slot that passed it"
          value={cells.slot_deg}
          onChange={(slot_deg) => put({ slot_deg })}
        />
        <MeasureField
          kind="number"
          label="Fastener, N/mm"
          description="The joint is taken as stiff: it costs this much at most"
          value={cells.stiffness_N_per_mm}
          onChange={(stiffness_N_per_mm) => put({ stiffness_N_per_mm })}
        />
      </div>
      <div aria-live="polite">
        {found && !found.ok && <Notice kind="stop">{found.error.message}</Notice>}
        {found?.ok && <Outcome {...found.result} from_N={worked.ladder.band.p50_N} />}
      </div>
    </Disclosure>
  );
}
