import { coolingWindow, type CoolingWindow, type RetorqueState } from '@/core/heat';
import { cyclesOf, headReadingsOf, type EngineState } from '@/model/engine/engine-state';
import type { CoolingReading, HeatCycle } from '@/model/heat/heat-log';
import { retorqueLine } from '@/interface/words/status-words';

export interface RetorqueDue {
  readonly jointId: string;
  readonly version: number;
  readonly name: string;
  readonly href: string;
  readonly state: RetorqueState;
  readonly line: string;
  readonly underWay: boolean;
}

export interface LoggedCycle extends HeatCycle {
  readonly readings: readonly CoolingReading[];
}

export interface RunIn {
  readonly cycles: readonly LoggedCycle[];
  readonly dues: readonly RetorqueDue[];
  /** How the latest run cools, whether or not a joint waits for it. */
  readonly window?: CoolingWindow;
}

/** The runs of an engine, its readings, and the retorques that follow from them. */
export function runInOf({ engine, heat, joints }: EngineState, now: number): RunIn {
  const cycles = [...heat.cycles].sort((a, b) => Date.parse(b.ranTo) - Date.parse(a.ranTo));
  const facts = cyclesOf(heat);
  const latest = facts.find((cycle) => cycle.id === cycles[0]?.id);
  return {
    cycles: cycles.map((cycle) => ({
      ...cycle,
      readings: heat.readings
        .filter((reading) => reading.cycleId === cycle.id)
        .sort((a, b) => Date.parse(a.at) - Date.parse(b.at)),
    })),
    dues: joints.map((joint) => ({
      jointId: joint.joint.id,
      version: joint.joint.version,
      name: joint.joint.name,
      href: `/engines/${engine.id}/joints/${joint.joint.id}`,
      state: joint.retorque,
      line: retorqueLine(joint, now),
      underWay: joint.openRetorque !== undefined,
    })),
    window:
      latest &&
      coolingWindow({
        kind: engine.kind,
        headMetal: engine.headMetal,
        cycle: latest,
        cycles: facts,
        readings: headReadingsOf(heat),
      }),
  };
}
