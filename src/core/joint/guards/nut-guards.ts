import { strip } from '@/core/fastener';
import { ask, kN, mm, stop, type Guard, type GuardInput } from './guard';

/** Height of a plain full nut, in diameters: what is judged by where nobody measured. */
const FULL_NUT_D = 0.8;
/** Shear strength of a steel as a share of its tensile strength; judgement. @source VDI 2230, τB/Rm of the bolt steels */
const SHEAR_SHARE = 0.6;
/** A nut widens, and its first thread carries most. */
const NUT_SHARE = 0.75;

/** Whether the nut's own thread holds, and whether it is of the bolt's strength. */
function strengthOfNut({ nut, today, ladder }: GuardInput): readonly Guard[] {
  if (!nut || ladder.clamp !== 'clamps') return [];
  const guards: Guard[] = [];
  const { height_mm, grade } = nut;
  const { thread, grade: boltGrade } = today;
  if (height_mm !== undefined && height_mm < FULL_NUT_D * thread.major_mm * 0.98)
    guards.push(
      ask(
        'nut-thin',
        `The nut is ${mm(height_mm)} high; a full one on ${thread.designation} has ${mm(FULL_NUT_D * thread.major_mm)}. A thin nut strips before the bolt yields.`,
      ),
    );
  const strips_N =
    height_mm === undefined || !grade
      ? undefined
      : NUT_SHARE * strip(thread, height_mm, SHEAR_SHARE * grade.tensile_MPa).strip_N;
  if (strips_N !== undefined && strips_N < ladder.load.most.preload_N)
    guards.push(
      stop(
        'nut-strips',
        `The nut’s thread would strip at ${kN(strips_N)}; the clamp load can reach ${kN(ladder.load.most.preload_N)}.`,
      ),
    );
  const bolt_MPa = today.gradeRow?.tensile_MPa;
  if (grade && bolt_MPa !== undefined && grade.tensile_MPa < bolt_MPa)
    guards.push(
      ask(
        'nut-weaker',
        `The nut (${grade.name}) is weaker than what it goes on (${boltGrade ?? ''}): it may strip without a warning. A nut is of the bolt’s strength or above.`,
      ),
    );
  return guards;
}

/** Whether a stud reaches through its nut. */
function nutFull({ nut, form, reach, parent, today }: GuardInput): readonly Guard[] {
  const { length_mm, grip_mm } = reach;
  const engagement_mm = parent?.engagement_mm;
  if (!nut || form !== 'stud' || length_mm === undefined || grip_mm === undefined || engagement_mm === undefined)
    return [];
  const left_mm = length_mm - engagement_mm - grip_mm;
  const height_mm = nut.height_mm ?? FULL_NUT_D * today.thread.major_mm;
  if (left_mm >= height_mm) return [];
  const measured = nut.height_mm === undefined ? ', taken for a full nut' : '';
  const said = `Of the stud ${mm(Math.max(0, left_mm))} are left for a nut of ${mm(height_mm)}${measured}: it is not full of thread. Take a longer stud, or seat this one less deep if its engagement allows.`;
  return [nut.height_mm === undefined ? ask('nut-not-full', said) : stop('nut-not-full', said)];
}

export const nutGuards = (input: GuardInput): readonly Guard[] => [...strengthOfNut(input), ...nutFull(input)];
