'use client';

import { FASTENER_FORMS, type FastenerFacts } from '@/model/joint/joint-detail';
import { choices } from '@/interface/words/choices';
import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { hexagonFaces } from '@/core/fastener';
import { threadNamed } from '@/core/thread';
import { isDomainError } from '@/core/units';
import { designationOn, type Shelves } from '@/model/shelf/shelves';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { useOutside } from '@/interface/parts/use-outside';
import { LOCKING_CHOICES, SOCKETS } from './joint-words';

interface Props {
  readonly label: 'original' | 'substitute';
  readonly facts: FastenerFacts;
  readonly shelves: Shelves;
  /** Asks what is only asked of a substitute. */
  readonly substitute?: boolean;
  readonly onChange: (facts: FastenerFacts) => void;
}

interface ThreadProps {
  readonly label: string;
  readonly description?: string;
  readonly value: string | null;
  readonly empty?: boolean;
  readonly shelves: Pick<Shelves, 'threads'>;
  readonly onChange: (value: string | null) => void;
}

/** The name of a thread; what is not known is refused in words and stays as typed. */
function ThreadField({ label, description, value, empty = false, shelves, onChange }: ThreadProps) {
  const [text, setText] = useState(value ?? '');
  const [refusal, setRefusal] = useState<string>();
  const wrote = useOutside(value, (stands) => {
    setText(stands ?? '');
    setRefusal(undefined);
  });
  const keep = (next: string | null) => {
    wrote(next);
    onChange(next);
  };
  const type = (next: string) => {
    setText(next);
    if (next.trim() === '') {
      setRefusal(empty ? undefined : 'Give the thread, such as 3/8 BSF or M8.');
      if (empty) keep(null);
      return;
    }
    try {
      const { designation } = threadNamed(designationOn(shelves, next));
      setRefusal(undefined);
      keep(designation);
    } catch (error) {
      if (!isDomainError(error)) throw error;
      setRefusal(error.message);
    }
  };
  return (
    <TextInput
      label={label}
      description={description}
      value={text}
      error={refusal}
      onChange={(event) => type(event.currentTarget.value)}
    />
  );
}

const ANSWERS = [
  { value: '', label: 'Not known' },
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
];
const answerOf = (said: boolean | null) => (said === null ? '' : said ? 'yes' : 'no');
const saidBy = (value: string) => (value === '' ? null : value === 'yes');

const FORMS = choices(FASTENER_FORMS, { bolt: 'Bolt', stud: 'Stud with a nut' });

interface GradeChoice {
  readonly value: string;
  readonly label: string;
}

interface PartProps {
  readonly facts: FastenerFacts;
  readonly set: (part: Partial<FastenerFacts>) => void;
}

/** The torque that a locking nut takes up itself. */
const OwnTorqueFields = ({ facts, set }: PartProps) => (
  <>
    <MeasureField
      kind="torque"
      zero
      label="Its own torque, least"
      value={facts.prevailingLow_Nm}
      onChange={(prevailingLow_Nm) => set({ prevailingLow_Nm })}
    />
    <MeasureField
      kind="torque"
      zero
      label="Its own torque, most"
      value={facts.prevailingHigh_Nm}
      onChange={(prevailingHigh_Nm) => set({ prevailingHigh_Nm })}
    />
  </>
);

const sameSize = (a: number, b: number) => Math.abs(a - b) < 0.005;

/** Which hexagon it has, as the spanner tells: the face under it is then the usual one of that standard. */
function HexagonField({ facts, set }: PartProps) {
  const hexagons = hexagonFaces(threadNamed(facts.thread));
  if (facts.faceMeasured || hexagons.length < 2) return null;
  const at = hexagons.findIndex(({ face }) => sameSize(face.outer_mm, facts.outer_mm));
  return (
    <NativeSelect
      className={form.double}
      label="The spanner that fits it"
      description="The face is taken from it until you measure"
      data={[
        ...(at < 0 ? [{ value: '-1', label: 'Not one of these' }] : []),
        ...hexagons.map(({ flats_mm, standard }, i) => ({
          value: String(i),
          label: `${Number(flats_mm.toFixed(1))} mm across flats, ${standard}`,
        })),
      ]}
      value={String(at)}
      onChange={(event) => {
        const chosen = hexagons[Number(event.currentTarget.value)];
        if (chosen) set({ outer_mm: chosen.face.outer_mm, inner_mm: chosen.face.inner_mm, faceMeasured: false });
      }}
    />
  );
}

/** The usual seats; any other angle is entered in a build file or by the reckoner. */
const SEATS = [
  { value: '', label: 'Flat' },
  { value: '90', label: 'Countersunk or cone, 90°' },
  { value: '82', label: 'Countersunk, 82°' },
  { value: '60', label: 'Cone, 60°' },
];

/** The seat it turns on, and the nut that is run down on it. */
const SeatAndNutFields = ({ facts, set, grades }: PartProps & { readonly grades: readonly GradeChoice[] }) => (
  <>
    <NativeSelect
      label="Seat"
      data={SEATS.some(({ value }) => value === `${facts.seat_deg ?? ''}`) ? SEATS : [...SEATS, `${facts.seat_deg}`]}
      value={`${facts.seat_deg ?? ''}`}
      onChange={(event) => set({ seat_deg: Number(event.currentTarget.value) || null })}
    />
    <MeasureField
      label="Height of the nut"
      value={facts.nutHeight_mm}
      onChange={(nutHeight_mm) => set({ nutHeight_mm })}
    />
    <NativeSelect
      className={form.double}
      label="Grade of the nut"
      data={[...grades]}
      value={facts.nutGrade ?? ''}
      onChange={(event) => set({ nutGrade: event.currentTarget.value || null })}
    />
  </>
);

/** What was done to it before it came to this engine. */
const HistoryFields = ({ facts, set }: PartProps) => (
  <>
    <NativeSelect
      label="Ever taken past its yield?"
      data={ANSWERS}
      value={answerOf(facts.takenBeyondYield)}
      onChange={(event) => set({ takenBeyondYield: saidBy(event.currentTarget.value) })}
    />
    <NativeSelect
      label="Plated here, and not baked?"
      data={ANSWERS}
      value={answerOf(facts.platedUnbaked)}
      onChange={(event) => set({ platedUnbaked: saidBy(event.currentTarget.value) })}
    />
  </>
);

/**
 * Thread, grade, face, lengths and locking of a fastener. Whatever is not known stays empty, and is then not judged.
 */
export function FastenerFields({ label, facts, shelves, substitute = false, onChange }: Props) {
  const set = (part: Partial<FastenerFacts>) => onChange({ ...facts, ...part });
  const grades = [
    { value: '', label: 'Not known' },
    ...shelves.grades.map(({ id, name, yield_MPa }) => ({ value: id, label: `${name}, yield ${yield_MPa} MPa` })),
  ];
  const isLockingNut = (locking: FastenerFacts['locking']) => locking === 'polymer-nut' || locking === 'metal-nut';
  // A torque of its own belongs to the nut that has one.
  const lock = (locking: FastenerFacts['locking']) =>
    set(isLockingNut(locking) ? { locking } : { locking, prevailingLow_Nm: null, prevailingHigh_Nm: null });
  const locks = isLockingNut(facts.locking);
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
      {facts.form === 'stud' && (
        <ThreadField
          shelves={shelves}
          label="The stud’s other end"
          description="In the metal"
          value={facts.metalThread}
          empty
          onChange={(metalThread) => set({ metalThread })}
        />
      )}
      {facts.form === 'stud' && (
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
        onChange={(outer_mm) => outer_mm && set({ outer_mm, faceMeasured: true })}
      />
      <MeasureField
        key={`i${facts.faceMeasured ? '' : facts.inner_mm}`}
        label="Hole it turns on"
        value={facts.inner_mm}
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
