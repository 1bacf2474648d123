import { plainFigure, READING_UNITS_MM, type ReadingUnit, THOU_MM } from '@/core/units';
import { isSigned, readReading, type Answers, type FitKind, type Part } from '@/core/fits';
import type { FitLine, ReadingBody, ReadingLine } from '@/model/fit/fit';

/** How readings are being taken just now; what was used last is offered again. */
export interface Session {
  readonly unit: ReadingUnit;
  readonly resolution_mm: number;
  /** The instrument for the inner or only side, and for the outer one. */
  readonly instrument: string;
  readonly outerInstrument: string;
  /** The setting standard, as typed; empty where sizes are read whole. */
  readonly standard: string;
  readonly part_C: string;
  readonly gauge_C: string;
  readonly by: string;
  readonly reportedBy: string;
  readonly answers: Answers;
}

export const RESOLUTIONS: readonly { readonly mm: number; readonly name: string }[] = [
  { mm: 0.001, name: '0.001 mm' },
  { mm: 0.002, name: '0.002 mm' },
  { mm: 0.005, name: '0.005 mm' },
  { mm: 0.01, name: '0.01 mm' },
  { mm: 0.00254, name: '0.0001 in' },
  { mm: 0.0127, name: '0.0005 in' },
  { mm: THOU_MM, name: '0.001 in' },
];

const isOuter = (part: Part) => part === 'bore';
/** The last reading of that side; a strip is read off its packet and says nothing of an instrument. */
const last = (lines: readonly FitLine[], is: (part: Part) => boolean) =>
  lines.findLast((line): line is ReadingLine => line.kind === 'reading' && line.part !== 'strip' && is(line.part));

const FINE_INCH_MM = 0.00254;
const HALF_THOU_MM = 0.0127;

/** What a reading is likely to be read to, where none says so yet. */
const usualResolution = (fine: boolean, inch: boolean) =>
  inch ? (fine ? FINE_INCH_MM : HALF_THOU_MM) : fine ? 0.001 : 0.01;

/** A session as the last reading was taken, or as this shop would begin one. */
export function startSession(
  { shape, along, isSize, gauges }: FitKind,
  lines: readonly FitLine[],
  inch: boolean,
): Session {
  const [inner, outer, latest] = [last(lines, (part) => !isOuter(part)), last(lines, isOuter), last(lines, () => true)];
  const whole = shape === 'pair' || isSize;
  return {
    unit: latest?.body.unit ?? (inch ? (whole ? 'in' : 'thou') : 'mm'),
    resolution_mm: latest?.body.resolution_mm ?? usualResolution(shape === 'pair' && !along, inch),
    instrument: inner?.body.instrument ?? gauges[0],
    outerInstrument: outer?.body.instrument ?? gauges[1],
    standard: latest?.body.standard_mm === undefined ? '' : `${latest.body.standard_mm} mm`,
    part_C: latest?.body.part_C === undefined ? '' : String(latest.body.part_C),
    gauge_C: latest?.body.gauge_C === undefined ? '' : String(latest.body.gauge_C),
    by: latest?.body.by ?? '',
    reportedBy: '',
    answers: latest?.body.answers ?? {},
  };
}

/** The size of the setting standard, mm. @throws DomainError */
export const standardOf = ({ standard, unit }: Pick<Session, 'standard' | 'unit'>): number | undefined =>
  standard.trim() === ''
    ? undefined
    : readReading({
        typed: standard,
        unit: unit === 'thou' || unit === '0.0001 in' ? 'in' : unit === 'µm' ? 'mm' : unit,
      });

/** A strip is read in its packet’s own unit, everything else as the session has it. */
const unitOf = (part: Part, { unit }: Session, packetUnit: ReadingUnit | undefined) =>
  part === 'strip' ? (packetUnit ?? unit) : unit;
const READ_WHOLE: ReadonlySet<Part> = new Set(['strip', 'goes', 'stops']);
const standardFor = (part: Part, session: Session) =>
  isSigned(part) || READ_WHOLE.has(part) ? undefined : standardOf(session);

/** What was typed into a cell, in mm. @throws DomainError */
export const valueOf = (typed: string, part: Part, session: Session, packetUnit?: ReadingUnit): number =>
  readReading({
    typed,
    unit: unitOf(part, session, packetUnit),
    standard_mm: standardFor(part, session),
    signed: isSigned(part),
  });

/** What is kept with a reading of this part. Strip is read off its packet, so its resolution is the packet’s step. */
export function bodyOf(session: Session, part: Part, bolts: string | undefined, packetUnit?: ReadingUnit): ReadingBody {
  const unit = unitOf(part, session, packetUnit);
  const { answers, by, reportedBy } = session;
  const standard_mm = standardFor(part, session);
  const [part_C, gauge_C] = [plainFigure(session.part_C), plainFigure(session.gauge_C)];
  const stripStep_mm = READING_UNITS_MM[unit] >= 1 ? 0.013 : 0.0127;
  return {
    unit,
    instrument: part === 'strip' ? 'Crushed strip' : isOuter(part) ? session.outerInstrument : session.instrument,
    resolution_mm: part === 'strip' ? stripStep_mm : session.resolution_mm,
    answers,
    ...(standard_mm !== undefined && { standard_mm }),
    ...(part_C !== undefined && Number.isFinite(part_C) && { part_C }),
    ...(gauge_C !== undefined && Number.isFinite(gauge_C) && { gauge_C }),
    ...(by.trim() && { by: by.trim() }),
    ...(reportedBy.trim() && { reportedBy: reportedBy.trim() }),
    ...(bolts !== undefined && { bolts }),
  };
}
