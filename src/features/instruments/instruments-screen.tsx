'use client';

import { plainFigure } from '@/core/units';
import { NativeSelect, TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import type { ReadingUnit } from '@/core/units';
import type {
  InstrumentReading,
  LengthReading,
  MeasuringInstrument,
  TemperatureReading,
} from '@/instruments/measuring-instrument';
import { FAILURES, sentWith, type Failure, type SentAs } from '@/instruments/simulated-failures';
import { createSimulatedDial } from '@/instruments/simulated-dial';
import { createSimulatedFeelers } from '@/instruments/simulated-feelers';
import { createSimulatedGauge } from '@/instruments/simulated-gauge';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import { sendLine, sentWords } from './send-line';
import { SerialSection } from './serial-section';
import { WrenchSection } from './wrench-section';
import styles from './instruments.module.css';

const world = { random: () => Math.random(), now: () => new Date().toISOString(), newId: () => nanoid() };

const ABOUT: Working = {
  title: 'A reading without typing',
  remarks: [
    [
      'At the bench',
      'press “Listen to a wrench”; what it reads inside the limits records itself, and the rest is asked about',
    ],
    ['On a fit', 'press “Listen to instruments” on its sheet; a reading goes into the cell at hand and on to the next'],
    ['Real ones', 'whatever can send a line of JSON to this machine: see docs/instruments.md'],
    ['Uncertainty', 'a reading that cannot be is held in its cell with a sentence, as if it had been typed'],
  ],
};

interface Setup {
  readonly kind: LengthReading['kind'] | TemperatureReading['kind'];
  readonly name: string;
  readonly unit: ReadingUnit | TemperatureReading['unit'];
  readonly truth: string;
  readonly error: string;
  /** By how much more it reads with every reading that it took, in its unit. */
  readonly drift: string;
  readonly failure: Failure;
}

const SETUPS: readonly (Omit<Setup, 'drift' | 'failure'> & { readonly says: string })[] = [
  {
    kind: 'micrometer',
    name: 'Simulated micrometer',
    unit: 'mm',
    truth: '44.982',
    error: '0.001',
    says: 'reads a size',
  },
  { kind: 'dial', name: 'Simulated dial', unit: 'mm', truth: '0.11', error: '0.01', says: 'pushed, pulled, let back' },
  {
    kind: 'feelers',
    name: 'Simulated feelers',
    unit: 'mm',
    truth: '0.22',
    error: '',
    says: 'what goes, what does not',
  },
  {
    kind: 'stretch-gauge',
    name: 'Simulated stretch gauge',
    unit: 'mm',
    truth: '62.184',
    error: '0.002',
    says: 'reads the length of a bolt',
  },
  {
    kind: 'thermometer',
    name: 'Simulated probe',
    unit: '°C',
    truth: '31',
    error: '0.5',
    says: 'reads the metal it lies on',
  },
];

const TRUTH: Readonly<Record<Setup['kind'], string>> = {
  micrometer: 'True size',
  dial: 'True float',
  feelers: 'True gap',
  'stretch-gauge': 'True length',
  thermometer: 'True temperature',
};

const LEAVES: Readonly<Record<'metric' | 'inch', readonly number[]>> = {
  metric: [0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5],
  inch: [2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 15, 18, 20, 25],
};
const RESOLUTION: Readonly<Record<Setup['unit'], number>> = {
  mm: 0.001,
  µm: 1,
  in: 0.0001,
  thou: 0.1,
  '0.0001 in': 1,
  '°C': 0.1,
  '°F': 0.1,
};

function instrumentOf({ kind, name, unit, error }: Setup, truth: number): MeasuringInstrument {
  const resolution = kind === 'dial' && unit === 'mm' ? 0.01 : RESOLUTION[unit];
  const shared = { name, resolution, truth, error: plainFigure(error) ?? 0 };
  if (unit === '°C' || unit === '°F')
    return createSimulatedGauge({ ...shared, shows: { kind: 'thermometer', unit } }, world);
  if (kind === 'feelers')
    return createSimulatedFeelers({ ...shared, unit, leaves: unit === 'mm' ? LEAVES.metric : LEAVES.inch }, world);
  return kind === 'dial'
    ? createSimulatedDial({ ...shared, unit }, world)
    : createSimulatedGauge({ ...shared, shows: { kind: kind === 'stretch-gauge' ? kind : 'micrometer', unit } }, world);
}

const UNITS: Readonly<Record<Setup['kind'], readonly Setup['unit'][]>> = {
  micrometer: ['mm', 'in', 'thou', 'µm'],
  dial: ['mm', 'in', 'thou', 'µm'],
  feelers: ['mm', 'thou'],
  'stretch-gauge': ['mm', 'in', 'thou', 'µm'],
  thermometer: ['°C', '°F'],
};

function Instrument({ start }: { readonly start: (typeof SETUPS)[number] }) {
  const [setup, setSetup] = useState<Setup>({ ...start, drift: '0', failure: 'none' });
  const [taken, setTaken] = useState(0);
  const [sent, setSent] = useState<readonly SentAs<InstrumentReading>[]>([]);
  const [said, setSaid] = useState<string>(start.says);
  const change = (part: Partial<Setup>) => setSetup((before) => ({ ...before, ...part }));
  const isReady = plainFigure(setup.truth) !== undefined;
  const take = async () => {
    const truth = (plainFigure(setup.truth) ?? 0) + taken * (plainFigure(setup.drift) ?? 0);
    const readings = sentWith(setup.failure, await instrumentOf(setup, truth).measure());
    setTaken(taken + 1);
    setSent(readings);
    if (readings.length === 0) setSaid('It sent nothing.');
    for (const reading of readings) setSaid(sentWords(await sendLine(JSON.stringify(reading))));
  };
  const text = (name: 'name' | 'truth' | 'error' | 'drift') => ({
    value: setup[name],
    onChange: ({ currentTarget }: React.ChangeEvent<HTMLInputElement>) => change({ [name]: currentTarget.value }),
  });
  return (
    <Section title={start.name}>
      <div className={form.grid}>
        <TextInput label="Called" {...text('name')} />
        <NativeSelect
          label="Shows"
          data={[...UNITS[start.kind]]}
          value={setup.unit}
          onChange={({ currentTarget }) => change({ unit: currentTarget.value as Setup['unit'] })}
        />
        <TextInput label={TRUTH[start.kind]} inputMode="decimal" {...text('truth')} />
        {start.kind !== 'feelers' && (
          <>
            <TextInput label="Off by up to" inputMode="decimal" {...text('error')} />
            <TextInput label="More with each reading" inputMode="decimal" {...text('drift')} />
          </>
        )}
        <NativeSelect
          className={form.double}
          label="What goes wrong"
          data={Object.entries(FAILURES).map(([value, label]) => ({ value, label }))}
          value={setup.failure}
          onChange={({ currentTarget }) => change({ failure: currentTarget.value as Failure })}
        />
        <div className={form.acts}>
          <Button onClick={() => void take()} disabled={!isReady}>
            Take a reading<span className="only-spoken"> with {start.name}</span>
          </Button>
          <span className="soft" role="status">
            {said}
          </span>
        </div>
      </div>
      {sent.length > 0 && (
        <pre className={styles.wire} tabIndex={0} aria-label="As it went over the wire">
          {sent.map((reading) => JSON.stringify(reading)).join('\n')}
        </pre>
      )}
    </Section>
  );
}

/** Simulated instruments, and what they send. */
export function InstrumentsScreen() {
  useDefaultWorking(ABOUT);
  return (
    <Screen title="Instruments" lead="Simulated, for trying; a real one sends the same lines.">
      <HydrationGate>
        <WrenchSection />
        {SETUPS.map((setup) => (
          <Instrument key={setup.kind} start={setup} />
        ))}
        <Notice kind="plain">
          One reading is one line of JSON, posted to /api/instruments/readings on this machine.
        </Notice>
        <SerialSection />
      </HydrationGate>
    </Screen>
  );
}
