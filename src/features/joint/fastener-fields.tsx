'use client';

import { FASTENER_FORMS, type FastenerFacts, locksItself } from '@/model/joint/fastener-facts';
import { choices } from '@/interface/words/choices';
import { NativeSelect } from '@mantine/core';
import type { Shelves } from '@/model/shelf/shelves';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { HexagonField, HistoryFields, OwnTorqueFields, SeatAndNutFields } from './fastener-parts';
import { LOCKING_CHOICES, SOCKETS } from './joint-words';
import { ThreadField } from './thread-field';

interface Props {
  readonly label: 'original' | 'substitute';
  readonly facts: FastenerFacts;
  readonly shelves: Shelves;
  /** Asks what is only asked of a substitute. */
  readonly substitute?: boolean;
  readonly onChange: (facts: FastenerFacts) => void;
}

const FORMS = choices(FASTENER_FORMS, { unsaid: 'Not said yet', bolt: 'Bolt', stud: 'Stud with a nut' });

/**
 * Thread, grade, face, lengths and locking of a fastener. Whatever is not known stays empty, and is then not judged.
 */
export function FastenerFields({ label, facts, shelves, substitute = false, onChange }: Props) {
  const set = (part: Partial<FastenerFacts>) => onChange({ ...facts, ...part });
  const isRing = facts.outer_mm > facts.inner_mm;
  const grades = [
    { value: '', label: 'Not known' },
    ...shelves.grades.map(({ id, name, yield_MPa }) => ({ value: id, label: `${name}, yield ${yield_MPa} MPa` })),
  ];
  // A torque of its own belongs to the nut that has one.
  const lock = (locking: FastenerFacts['locking']) =>
    set(locksItself(locking) ? { locking } : { locking, prevailingLow_Nm: null, prevailingHigh_Nm: null });
  const locks = locksItself(facts.locking);
  return (
    <div
      className={form.grid}
      role="group"
      aria-label={label === 'original' ? 'The original fastener' : 'The substitute'}
    >
      <NativeSelect
        label="Bolt or stud"
        data={FORMS}
        value={facts.form}
        onChange={(event) => set({ form: event.currentTarget.value as FastenerFacts['form'] })}
      />
      <ThreadField
        shelves={shelves}
        label="Thread that turns"
        value={facts.thread}
        onChange={(thread) => thread && set({ thread })}
      />
      <NativeSelect
        className={form.double}
        label="Grade"
        data={grades}
        value={facts.grade ?? ''}
        onChange={(event) => set({ grade: event.currentTarget.value || null })}
      />
      {facts.form !== 'bolt' && (
        <ThreadField
          shelves={shelves}
          label="The stud’s other end"
          description="In the metal"
          value={facts.metalThread}
          empty
          onChange={(metalThread) => set({ metalThread })}
        />
      )}
      {facts.form !== 'bolt' && (
        <MeasureField
          kind="torque"
          label="Seating figure of the stud"
          value={facts.seating_Nm}
          onChange={(seating_Nm) => set({ seating_Nm })}
        />
      )}
      <HexagonField facts={facts} set={set} />
      <MeasureField
        key={`o${facts.faceMeasured ? '' : facts.outer_mm}`}
        label="Face, outside"
        description={facts.faceMeasured ? 'Measured' : 'Usual for the size; measure yours'}
        value={facts.outer_mm}
        fault={isRing ? undefined : 'It must be larger than the hole it turns on.'}
        onChange={(outer_mm) => outer_mm && set({ outer_mm, faceMeasured: true })}
      />
      <MeasureField
        key={`i${facts.faceMeasured ? '' : facts.inner_mm}`}
        label="Hole it turns on"
        value={facts.inner_mm}
        fault={isRing ? undefined : 'It must be smaller than the face’s outside.'}
        onChange={(inner_mm) => inner_mm && set({ inner_mm, faceMeasured: true })}
      />
      <MeasureField
        label="Loose washer, outside"
        value={facts.washer_mm}
        onChange={(washer_mm) => set({ washer_mm })}
      />
      {facts.washer_mm !== null && (
        <MeasureField
          label="Its thickness"
          value={facts.washerThickness_mm}
          onChange={(washerThickness_mm) => set({ washerThickness_mm })}
        />
      )}
      {facts.washer_mm !== null && (
        <MeasureField
          label="Its bore"
          value={facts.washerBore_mm}
          onChange={(washerBore_mm) => set({ washerBore_mm })}
        />
      )}
      <MeasureField
        label="Length under the head"
        value={facts.length_mm}
        onChange={(length_mm) => set({ length_mm })}
      />
      <MeasureField
        label="Length of thread"
        value={facts.threadLength_mm}
        onChange={(threadLength_mm) => set({ threadLength_mm })}
      />
      <MeasureField
        label="Shank, if thinner"
        value={facts.shankDiameter_mm}
        onChange={(shankDiameter_mm) => set({ shankDiameter_mm })}
      />
      <MeasureField
        label="Height of the head"
        value={facts.headHeight_mm}
        onChange={(headHeight_mm) => set({ headHeight_mm })}
      />
      <NativeSelect
        label="Locking"
        data={[...LOCKING_CHOICES]}
        value={facts.locking}
        onChange={(event) => lock(event.currentTarget.value as FastenerFacts['locking'])}
      />
      {locks && <OwnTorqueFields facts={facts} set={set} />}
      <SeatAndNutFields facts={facts} set={set} grades={grades} />
      <HistoryFields facts={facts} set={set} />
      {substitute && (
        <NativeSelect
          className={form.double}
          label="Does a socket get at it?"
          data={[...SOCKETS]}
          value={facts.socket}
          onChange={(event) => set({ socket: event.currentTarget.value as FastenerFacts['socket'] })}
        />
      )}
    </div>
  );
}
