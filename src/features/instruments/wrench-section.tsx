'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { TORQUE_UNITS, plainFigure, type TorqueUnit } from '@/core/units';
import { FAILURES, type Failure } from '@/instruments/simulated-failures';
import type { SentReading } from '@/instruments/simulated-wrench';
import { StandInWrench } from '@/interface/instruments/stand-in-wrench';
import { Section } from '@/interface/parts/screen';
import form from '@/interface/parts/form.module.css';
import button from '@/interface/parts/button.module.css';
import { sendLine, sentWords } from './send-line';
import styles from './instruments.module.css';

interface Setup {
  readonly name: string;
  readonly unit: TorqueUnit;
  readonly clicksAt: string;
  readonly most: string;
  readonly noise_pct: string;
  readonly drift_pct: string;
  readonly degPerUnit: string;
  readonly failure: Failure;
}

const START: Setup = {
  name: 'Simulated wrench',
  unit: 'N·m',
  clicksAt: '40',
  most: '120',
  noise_pct: '1',
  drift_pct: '0',
  degPerUnit: '3',
  failure: 'none',
};
const FIELDS: readonly (readonly [keyof Setup, string])[] = [
  ['clicksAt', 'Clicks at'],
  ['most', 'End of its scale'],
  ['degPerUnit', 'Degrees for each of its unit'],
  ['noise_pct', 'Off by up to, %'],
  ['drift_pct', 'More with each pull, %'],
];
const SECONDS_TO_CLICK = 1.5;
const MARKS = 400;

/** A torque wrench with a display, pulled by holding a key. */
export function WrenchSection() {
  const [setup, setSetup] = useState(START);
  const [last, setLast] = useState<SentReading>();
  const [said, setSaid] = useState('Held it climbs; let go, it sends the highest it came to');
  const change = (part: Partial<Setup>) => setSetup((before) => ({ ...before, ...part }));
  const figures = Object.fromEntries(FIELDS.map(([field]) => [field, plainFigure(setup[field])]));
  const { clicksAt = 0, most = 0, noise_pct = -1, drift_pct = -1, degPerUnit = -1 } = figures;
  const isReady = clicksAt > 0 && most > 0 && noise_pct >= 0 && drift_pct >= 0 && degPerUnit >= 0 && setup.name.trim();
  const send = (line: SentReading) => {
    setLast(line);
    void sendLine(JSON.stringify(line)).then((sent) => {
      if (line.phase === 'peak' || 'refused' in sent) setSaid(sentWords(sent));
    });
  };
  return (
    <Section title="Simulated wrench">
      <div className={form.grid}>
        <TextInput
          label="Called"
          maxLength={80}
          value={setup.name}
          onChange={({ currentTarget }) => change({ name: currentTarget.value })}
        />
        <NativeSelect
          label="Shows"
          data={[...TORQUE_UNITS]}
          value={setup.unit}
          onChange={({ currentTarget }) => change({ unit: currentTarget.value as TorqueUnit })}
        />
        {FIELDS.map(([field, label]) => (
          <TextInput
            key={field}
            label={label}
            inputMode="decimal"
            value={setup[field]}
            error={plainFigure(setup[field]) === undefined ? 'A figure' : undefined}
            onChange={({ currentTarget }) => change({ [field]: currentTarget.value })}
          />
        ))}
        <NativeSelect
          className={form.double}
          label="What goes wrong"
          data={Object.entries(FAILURES).map(([value, label]) => ({ value, label }))}
          value={setup.failure}
          onChange={({ currentTarget }) => change({ failure: currentTarget.value as Failure })}
        />
        <div className={form.acts}>
          {isReady && (
            <StandInWrench
              className={button.key}
              setup={{
                name: setup.name.trim(),
                unit: setup.unit,
                resolution: 10 ** Math.floor(Math.log10(most / MARKS)),
                most,
                rate: clicksAt / SECONDS_TO_CLICK,
                degPerUnit,
                noise_pct,
                drift_pct,
                failure: setup.failure,
              }}
              clicksAt={clicksAt}
              onLine={send}
            />
          )}
          <span className="soft" role="status">
            {said}
          </span>
        </div>
      </div>
      {last && (
        <pre className={styles.wire} tabIndex={0} aria-label="As it went over the wire">
          {JSON.stringify(last)}
        </pre>
      )}
    </Section>
  );
}
