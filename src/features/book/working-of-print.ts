import { FORCE_N, LENGTH_M, TORQUE_UNITS_NM } from '@/core/units';
import type { WorkingLine } from '@/core/joint';
import type { TorqueReading } from '@/core/print';
import type { ReadPrint } from '@/interface/parts/torque-reading';
import type { Working } from '@/interface/shell/working-margin';

const ends = ({ min_Nm, max_Nm }: TorqueReading): WorkingLine['figures'] =>
  min_Nm === max_Nm
    ? [{ value: min_Nm, digits: 4 }, ' N·m']
    : [{ value: min_Nm, digits: 4 }, ' to ', { value: max_Nm, digits: 4 }, ' N·m'];

const printed = (low: number, high: number): WorkingLine['figures'] =>
  low === high
    ? [{ value: low, digits: 6 }]
    : ['(', { value: low, digits: 6 }, ' to ', { value: high, digits: 6 }, ')'];

function lineOf(reading: TorqueReading): WorkingLine {
  const { unit, force, lever } = reading;
  if (unit)
    return {
      formula: `T = n × 1 ${unit} in N·m`,
      figures: [
        ...printed(reading.printedMin, reading.printedMax),
        ' × ',
        { value: TORQUE_UNITS_NM[unit], digits: 8 },
        ' = ',
        ...ends(reading),
      ],
    };
  const factor =
    force && lever
      ? [
          ' × ',
          { value: FORCE_N[force.unit], digits: 7 },
          ' × ',
          { value: lever.length * LENGTH_M[lever.unit], digits: 5 },
        ]
      : [];
  return {
    formula: 'T = F × L, in N and m',
    figures: [...printed(reading.printedMin, reading.printedMax), ...factor, ' = ', ...ends(reading)],
  };
}

/** The working of a figure as it is being typed. */
export function workingOfPrint(text: string, read: ReadPrint, chosen: number): Working {
  if (text.trim() === '')
    return {
      title: 'Reading the page',
      remarks: [['Type', 'the figure exactly as it is printed; the text is kept as it stands.']],
    };
  if (!read.ok)
    return {
      title: 'Not read',
      remarks: [
        ['Why', read.message],
        ['Kept', `“${text}”`],
      ],
    };
  const { print } = read;
  const reading = print.readings[chosen];
  const turn: readonly WorkingLine[] =
    print.kind === 'turn'
      ? [{ formula: '1 turn = 360°, 1 flat = 60°', figures: [...printed(print.min_deg, print.max_deg), '°'] }]
      : [];
  return {
    title: 'Read from print',
    lines: reading ? [lineOf(reading)] : turn,
    remarks: [
      ['Printed', `“${text}”`],
      ['Threads', print.condition ?? 'not said in the text'],
      ['Source', 'pound 0.45359237 kg, inch 25.4 mm, g 9.80665 m/s²: exact by definition'],
    ],
  };
}
