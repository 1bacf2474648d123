import { TORQUE_UNITS_NM, torqueFromSi, torqueToSi, signedPercent } from '@/core/units';
import { adaptorRatio, deliveredAt, type WrenchSetting } from '@/core/wrench';
import { figure } from '../working';
import type { LadderInput, Rung } from './rung';

export function adaptorRung({ adaptor }: LadderInput, value_Nm: number): Rung | undefined {
  if (!adaptor) return undefined;
  const ratio = adaptorRatio(adaptor);
  const { wrenchLength_mm: L, extension_mm: E, angle_deg } = adaptor;
  return {
    id: 'adaptor',
    title: 'Adaptor',
    value_Nm: value_Nm * ratio,
    factor: ratio,
    working: [
      {
        formula: 'reading = T · L/(L + E·cos θ)',
        figures: [
          figure(value_Nm),
          ' × ',
          figure(L),
          '/(',
          figure(L),
          ' + ',
          figure(E),
          ' × cos ',
          figure(angle_deg),
          '°) = ',
          figure(value_Nm * ratio),
          ' N·m',
        ],
      },
    ],
    source: 'lengths measured from the wrench’s square to the hand, and to the fastener',
    school: 'at a right angle nothing changes; in line it changes most',
    spread: 'holds only with the hand where L was measured to',
  };
}

export function calibrationRung({ wrench }: LadderInput, value_Nm: number, setting: WrenchSetting): Rung | undefined {
  if (!wrench.calibration || wrench.calibration.length === 0) return undefined;
  const set_Nm = torqueToSi(setting.setting, wrench.unit);
  const points = [...wrench.calibration].sort((a, b) => a.set - b.set).map((point) => `${point.set} → ${point.true}`);
  return {
    id: 'calibration',
    title: 'Check',
    value_Nm: set_Nm,
    factor: set_Nm / value_Nm,
    working: [
      {
        formula: 'set what delivers the figure',
        figures: [
          figure(torqueFromSi(value_Nm, wrench.unit)),
          ' wanted → ',
          figure(setting.setting),
          ` set, ${wrench.unit}`,
        ],
      },
      { formula: 'last check, set → delivered', figures: [points.join(', ')] },
    ],
    source: `${wrench.name}, its last check`,
    school: 'straight lines between the points',
    spread: `±${wrench.accuracy_pct} %`,
  };
}

export function wrenchRung({ wrench, adaptor }: LadderInput, value_Nm: number, setting: WrenchSetting): Rung {
  const rounded_Nm = torqueToSi(setting.rounded, wrench.unit);
  const delivered = deliveredAt(setting.rounded, wrench.calibration ?? []);
  const same = Math.abs(delivered - setting.rounded) < 1e-9 && !adaptor;
  return {
    id: 'wrench',
    title: 'Wrench',
    value_Nm: rounded_Nm,
    factor: rounded_Nm / value_Nm,
    working: [
      {
        formula: `setting = T / ${wrench.unit} in N·m, to the nearest mark`,
        figures: [
          figure(value_Nm),
          ' / ',
          figure(TORQUE_UNITS_NM[wrench.unit], 7),
          ' = ',
          figure(setting.setting),
          ' → ',
          figure(setting.rounded, 6),
          ` ${wrench.unit}`,
        ],
      },
      ...(same ? [] : [{ formula: 'the fastener gets', figures: [figure(setting.achieved_Nm), ' N·m'] }]),
    ],
    source: wrench.name,
    school: `to the wrench’s graduation of ${wrench.graduation} ${wrench.unit}`,
    spread: `wrench ±${wrench.accuracy_pct} %; rounding ${signedPercent(setting.roundingError_pct)}`,
  };
}
