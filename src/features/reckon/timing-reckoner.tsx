'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { typedLength, typedNumber } from '@/core/print';
import { DEAD_CENTRES, pistonDrop, rimArc, stopMethod, valveSpan, type DeadCentre } from '@/core/timing';
import { isDomainError } from '@/core/units';
import { useFigures, useLengths } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import form from '@/interface/parts/form.module.css';
import { Section } from '@/interface/parts/screen';
import styles from './timing-reckoner.module.css';

/** An answer with its working: what it is, the formula, and the figures put in. */
interface Worked {
  readonly answer: string;
  readonly working: readonly string[];
}

/** What an answer or a refusal comes to; nothing while a cell is empty. */
function worked(cells: readonly string[], work: () => Worked): Worked | { readonly refusal: string } | undefined {
  if (cells.some((cell) => cell.trim() === '')) return undefined;
  try {
    return work();
  } catch (error) {
    if (isDomainError(error)) return { refusal: error.message };
    throw error;
  }
}

function Answer({ of }: { readonly of: ReturnType<typeof worked> }) {
  if (!of) return null;
  if ('refusal' in of)
    return (
      <p className={styles.refusal} role="alert">
        {of.refusal}
      </p>
    );
  return (
    <div className={styles.answer} role="status">
      <p className={styles.figure}>{of.answer}</p>
      {of.working.map((line) => (
        <p key={line} className={styles.working}>
          {line}
        </p>
      ))}
    </div>
  );
}

function useCells<const Names extends readonly string[]>(names: Names) {
  const [cells, setCells] = useState(
    () => Object.fromEntries(names.map((name) => [name, ''])) as Record<Names[number], string>,
  );
  const cell = (name: Names[number]) => ({
    value: cells[name],
    onChange: (event: { readonly currentTarget: { readonly value: string } }) => {
      // The event is gone when the state is set.
      const { value } = event.currentTarget;
      setCells((was) => ({ ...was, [name]: value }));
    },
  });
  return [cells, cell] as const;
}

const WAYS = [
  { value: 'deg', label: 'Degrees to drop' },
  { value: 'drop', label: 'Drop to degrees' },
];

/** The piston’s drop at so many degrees from top, or the degrees of a drop. */
function DropReckoner() {
  const { plain } = useFigures();
  const told = useLengths();
  const unit = told.inch ? 'in' : 'mm';
  const [cells, cell] = useCells(['stroke', 'rod', 'way', 'given'] as const);
  const isDrop = cells.way === 'drop';
  const answer = worked([cells.stroke, cells.rod, cells.given], () => {
    const [stroke_mm, rod_mm] = [typedLength(cells.stroke, 'stroke', unit), typedLength(cells.rod, 'rod', unit)];
    const given = isDrop
      ? { drop_mm: typedLength(cells.given, 'drop', unit) }
      : { deg: typedNumber(cells.given, 'deg') };
    const { deg, drop_mm } = pistonDrop({ stroke_mm, rod_mm, ...given });
    const drop = `${plain(Number(drop_mm.toFixed(3)))} mm, ${plain(Number((drop_mm / 25.4).toFixed(4)))} in`;
    const r = plain(Number((stroke_mm / 2).toFixed(3)));
    return {
      answer: isDrop ? `${plain(Number(deg.toFixed(2)))}° from top` : `${drop} below top`,
      working: [
        'x = r + l − (r cos θ + √(l² − r² sin² θ)), r half the stroke, l the rod between its centres',
        `r ${r} mm, l ${plain(Number(rod_mm.toFixed(3)))} mm, θ ${plain(Number(deg.toFixed(2)))}°, x ${drop}`,
      ],
    };
  });
  return (
    <Section title="The piston’s drop">
      <HydrationGate className={form.grid}>
        <TextInput label="Stroke" description={unit} {...cell('stroke')} />
        <TextInput label="Rod between centres" description={unit} {...cell('rod')} />
        <NativeSelect label="Way round" description="What is given" data={WAYS} {...cell('way')} />
        <TextInput
          label={isDrop ? 'Drop' : 'Degrees from top'}
          description={isDrop ? unit : '0 to 180'}
          {...cell('given')}
        />
      </HydrationGate>
      <Answer of={answer} />
    </Section>
  );
}

/** Top by a positive stop: a reading of the disc at each side. */
function StopReckoner() {
  const { plain } = useFigures();
  const [cells, cell] = useCells(['a', 'b'] as const);
  const answer = worked([cells.a, cells.b], () => {
    const { top_deg, halfArc_deg } = stopMethod({ a_deg: typedNumber(cells.a, 'a'), b_deg: typedNumber(cells.b, 'b') });
    return {
      answer: `Top at ${plain(Number(top_deg.toFixed(2)))}° of the disc`,
      working: [
        'the middle of the shorter arc between the two readings',
        `${cells.a}° and ${cells.b}°: half the arc ${plain(Number(halfArc_deg.toFixed(2)))}° either way`,
      ],
    };
  });
  return (
    <Section title="Top by a stop">
      <p className={styles.caution}>
        Turn by hand, gently on to the stop, plugs out; take the stop out before anything else turns the engine.
      </p>
      <HydrationGate className={form.grid}>
        <TextInput label="On the stop, one way" description="Degrees on the disc" {...cell('a')} />
        <TextInput label="On the stop, the other way" description="Degrees on the disc" {...cell('b')} />
      </HydrationGate>
      <Answer of={answer} />
    </Section>
  );
}

const VALVES = [
  { value: 'inlet', label: 'Inlet' },
  { value: 'exhaust', label: 'Exhaust' },
];
const CENTRE_WORDS: Readonly<Record<DeadCentre, string>> = {
  BTDC: 'before top',
  ATDC: 'after top',
  BBDC: 'before bottom',
  ABDC: 'after bottom',
};
const PLACES = DEAD_CENTRES.map((value) => ({ value, label: CENTRE_WORDS[value] }));

/** How long a valve is open, and where its middle lies. */
function ValveReckoner() {
  const { plain } = useFigures();
  const [cells, cell] = useCells(['valve', 'opens', 'opensAt', 'closes', 'closesAt'] as const);
  const valve = cells.valve === 'exhaust' ? 'exhaust' : 'inlet';
  const [first, second]: readonly [DeadCentre, DeadCentre] = valve === 'inlet' ? ['BTDC', 'ABDC'] : ['BBDC', 'ATDC'];
  const at = (given: string, usual: DeadCentre) => (given === '' ? usual : (given as DeadCentre));
  const [opensAt, closesAt] = [at(cells.opensAt, first), at(cells.closesAt, second)];
  const answer = worked([cells.opens, cells.closes], () => {
    const { duration_deg, middle_deg } = valveSpan({
      valve,
      opens: { deg: typedNumber(cells.opens, 'opens'), at: opensAt },
      closes: { deg: typedNumber(cells.closes, 'closes'), at: closesAt },
    });
    return {
      answer: `Open for ${plain(Number(duration_deg.toFixed(2)))}°, its middle ${plain(Number(middle_deg.toFixed(2)))}° ${valve === 'inlet' ? 'after' : 'before'} top`,
      working: [
        'the middle lies half the time it is open from where it opens',
        `opens ${cells.opens}° ${CENTRE_WORDS[opensAt]}, closes ${cells.closes}° ${CENTRE_WORDS[closesAt]}`,
      ],
    };
  });
  return (
    <Section title="How long a valve is open">
      <HydrationGate className={form.grid}>
        <NativeSelect label="Valve" data={VALVES} {...cell('valve')} />
        <TextInput className={form.short} label="Opens" {...cell('opens')} />
        <NativeSelect label="Opening counted" data={PLACES} {...cell('opensAt')} value={opensAt} />
        <TextInput className={form.short} label="Closes" {...cell('closes')} />
        <NativeSelect label="Closing counted" data={PLACES} {...cell('closesAt')} value={closesAt} />
      </HydrationGate>
      <Answer of={answer} />
    </Section>
  );
}

const RIM_WAYS = [
  { value: 'deg', label: 'Degrees to length' },
  { value: 'arc', label: 'Length to degrees' },
];

/** Degrees as a length along the rim of a flywheel or a pulley. */
function RimReckoner() {
  const { plain } = useFigures();
  const told = useLengths();
  const unit = told.inch ? 'in' : 'mm';
  const [cells, cell] = useCells(['diameter', 'way', 'given'] as const);
  const isArc = cells.way === 'arc';
  const answer = worked([cells.diameter, cells.given], () => {
    const diameter_mm = typedLength(cells.diameter, 'diameter', unit);
    const given = isArc ? { arc_mm: typedLength(cells.given, 'arc', unit) } : { deg: typedNumber(cells.given, 'deg') };
    const { deg, arc_mm } = rimArc({ diameter_mm, ...given });
    const arc = `${plain(Number(arc_mm.toFixed(2)))} mm, ${plain(Number((arc_mm / 25.4).toFixed(3)))} in`;
    return {
      answer: isArc ? `${plain(Number(deg.toFixed(2)))}°` : `${arc} along the rim`,
      working: [
        'length = π × diameter × degrees / 360',
        `π × ${plain(Number(diameter_mm.toFixed(2)))} mm × ${plain(Number(deg.toFixed(2)))} / 360 = ${arc}`,
      ],
    };
  });
  return (
    <Section title="Degrees on a rim">
      <HydrationGate className={form.grid}>
        <TextInput label="Diameter of the rim" description={unit} {...cell('diameter')} />
        <NativeSelect label="Way round" description="What is given" data={RIM_WAYS} {...cell('way')} />
        <TextInput
          label={isArc ? 'Length along it' : 'Degrees'}
          description={isArc ? unit : 'of crank'}
          {...cell('given')}
        />
      </HydrationGate>
      <Answer of={answer} />
    </Section>
  );
}

/** What timing is set by, reckoned at once: nothing of it is kept. */
export const TimingReckoner = () => (
  <>
    <DropReckoner />
    <StopReckoner />
    <ValveReckoner />
    <RimReckoner />
  </>
);
