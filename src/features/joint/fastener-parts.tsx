'use client';

import { NativeSelect } from '@mantine/core';
import { hexagonFaces } from '@/core/fastener';
import { threadNamed } from '@/core/thread';
import type { FastenerFacts } from '@/model/joint/fastener-facts';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { YesOrNo } from './yes-or-no';

interface GradeChoice {
  readonly value: string;
  readonly label: string;
}

interface PartProps {
  readonly facts: FastenerFacts;
  readonly set: (part: Partial<FastenerFacts>) => void;
}

/** The torque that a locking nut takes up itself. */
export const OwnTorqueFields = ({ facts, set }: PartProps) => (
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
export function HexagonField({ facts, set }: PartProps) {
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
export const SeatAndNutFields = ({ facts, set, grades }: PartProps & { readonly grades: readonly GradeChoice[] }) => (
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
export const HistoryFields = ({ facts, set }: PartProps) => (
  <>
    <YesOrNo
      label="Ever taken past its yield?"
      said={facts.takenBeyondYield}
      onSaid={(takenBeyondYield) => set({ takenBeyondYield })}
    />
    <YesOrNo
      label="Plated here, and not baked?"
      said={facts.platedUnbaked}
      onSaid={(platedUnbaked) => set({ platedUnbaked })}
    />
  </>
);
