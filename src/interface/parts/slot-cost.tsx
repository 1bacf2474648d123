'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { costOfSlot, type SlotBasis, type SlotFacts, type ToTheSlot } from '@/model/joint/slotted-nut';
import { tryCore } from '@/model/try-core';
import { useFigures } from '../figures/preferences';
import form from './form.module.css';
import { MeasureField } from './measure-field';
import { Notice } from './screen';

type Cells = { readonly [Field in keyof SlotFacts]: number | null };

const isWhole = (cells: Cells): cells is SlotFacts => Object.values(cells).every((value) => value !== null);

/** What the next slot costs, as far as its cells are filled; a refusal where they cannot be. */
export function useSlotCost(basis: SlotBasis) {
  const [cells, setCells] = useState<Cells>({
    slots: 6,
    holes: 1,
    slot_deg: null,
    stiffness_N_per_mm: basis.stiffness_N_per_mm,
  });
  const put = (part: Partial<Cells>) => setCells((was) => ({ ...was, ...part }));
  return { cells, put, found: isWhole(cells) ? tryCore(() => costOfSlot(basis, cells)) : undefined };
}

type Fields = Pick<ReturnType<typeof useSlotCost>, 'cells' | 'put'>;

/** What is counted and seen of the nut and its stud. @param isBrief at the bench, where room is dear */
export const SlotFields = ({ cells, put, isBrief = false }: Fields & { readonly isBrief?: boolean }) => (
  <div className={isBrief ? form.brief : form.grid}>
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
      description={isBrief ? undefined : 'From the hole back to the last slot that passed it'}
      value={cells.slot_deg}
      onChange={(slot_deg) => put({ slot_deg })}
    />
    <MeasureField
      kind="number"
      label="Fastener, N/mm"
      description={isBrief ? undefined : 'The joint is taken as stiff: it costs this much at most'}
      value={cells.stiffness_N_per_mm}
      onChange={(stiffness_N_per_mm) => put({ stiffness_N_per_mm })}
    />
  </div>
);

/** How far on the next slot is, what clamp load, torque and stress that costs, and whether the limit allows it. */
export function SlotOutcome({
  found: { turn_deg, further },
  from_N,
  remedies,
}: {
  readonly found: ToTheSlot;
  readonly from_N: number;
  /** What is said where it is not to be turned on. */
  readonly remedies: string;
}) {
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
          {notes.map(({ message }) => message).join(' ')} {remedies}
        </Notice>
      )}
      {notes.length === 0 && (
        <p className="soft">{utilisation === undefined ? remedies : 'The limit allows it. Never back.'}</p>
      )}
    </>
  );
}
