'use client';

import { useState } from 'react';
import type { PullStep } from '@/core/tightening';
import type { SimulatedWrench } from '@/instruments/simulated-wrench';
import { UNITS_OF_KIND, type InstrumentReading } from '@/instruments/measuring-instrument';
import { StandInWrench } from '@/interface/instruments/stand-in-wrench';
import { figureAt, type TighteningPlan } from '@/model/joint/tightening-plan';
import type { HeardAtBench } from './use-heard-wrench';
import keys from './face-keys.module.css';
import styles from './face-instruments.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly step: PullStep;
  readonly heard: HeardAtBench;
}

const SECONDS_TO_FIGURE = 1.5;
const RESOLUTION_OF_FIGURE = 200;
// What a head's nut turns on its way from snug to its figure, about.
const DEG_TO_FIGURE = 120;

export const STAND_IN = 'Simulated wrench';

/** A wrench that is none, to be pulled at the bench: it shows what it does and records as a real one would. */
export function FaceStandIn({ plan, step, heard }: Props) {
  const { unit } = figureAt(plan, step.position);
  const finest = 10 ** Math.floor(Math.log10(step.setting / RESOLUTION_OF_FIGURE));
  const degPerUnit = DEG_TO_FIGURE / step.setting;
  const setup: SimulatedWrench = {
    name: STAND_IN,
    unit,
    resolution: finest,
    most: step.setting * 4,
    rate: step.setting / SECONDS_TO_FIGURE,
    degPerUnit,
    noise_pct: 1,
    drift_pct: 0,
    failure: 'none',
  };
  const [used, setUsed] = useState(false);
  const clicksAt = step.turn ? (step.turn.min_deg + step.turn.max_deg) / 2 / degPerUnit : step.setting;
  return (
    <StandInWrench
      setup={setup}
      clicksAt={clicksAt}
      className={`${keys.other} ${styles.standIn}`}
      onLine={(line) => {
        // It lies at this bench and at no other: nobody has to say so.
        if (!used) {
          heard.use(STAND_IN);
          setUsed(true);
        }
        if ((UNITS_OF_KIND['torque-wrench'] as readonly string[]).includes(line.unit))
          heard.receive(line as InstrumentReading);
      }}
    />
  );
}
