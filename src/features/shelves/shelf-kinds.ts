import { plainFigure } from '@/core/units';
import type { Grade, ParentMetal } from '@/core/fastener';
import type { Film } from '@/core/film';
import type { OwnThread } from '@/core/thread';
import type { ShelfKind, ShelfRows } from '@/model/shelf/shelf-rows';

export interface ShelfField {
  readonly name: string;
  readonly label: string;
}

/** How rows of one shelf are shown, typed and put together. */
export interface ShelfShape<K extends ShelfKind> {
  readonly kind: K;
  readonly title: string;
  readonly lead: string;
  readonly columns: readonly string[];
  /** Decimals shown, so that a column's figures align. */
  readonly decimals: readonly number[];
  readonly cells: (row: ShelfRows[K]) => readonly (number | undefined)[];
  readonly fields: readonly ShelfField[];
  readonly valuesOf: (row: ShelfRows[K]) => Readonly<Record<string, string>>;
  readonly rowOf: (values: Readonly<Record<string, string>>) => object;
}

const number = (text: string | undefined): number | undefined => plainFigure(text ?? '');
const typed = (value: number | undefined) => (value === undefined ? '' : String(value));

const FILM: ShelfShape<'film'> = {
  kind: 'film',
  title: 'Lubricants',
  lead: 'Friction in the thread and under the head at the 5th, 50th and 95th percentile. A low end set too high is the dangerous error.',
  columns: ['thread, low', 'middle', 'high', 'head, low', 'middle', 'high'],
  decimals: [3, 3, 3, 3, 3, 3],
  cells: ({ thread, head }: Film) => [thread.low, thread.middle, thread.high, head.low, head.middle, head.high],
  fields: [
    { name: 'tl', label: 'Thread, low' },
    { name: 'tm', label: 'Thread, middle' },
    { name: 'th', label: 'Thread, high' },
    { name: 'hl', label: 'Head, low' },
    { name: 'hm', label: 'Head, middle' },
    { name: 'hh', label: 'Head, high' },
  ],
  valuesOf: ({ thread, head }: Film) => ({
    tl: typed(thread.low),
    tm: typed(thread.middle),
    th: typed(thread.high),
    hl: typed(head.low),
    hm: typed(head.middle),
    hh: typed(head.high),
  }),
  rowOf: (v) => ({
    thread: { low: number(v.tl), middle: number(v.tm), high: number(v.th) },
    head: {
      low: number(v.hl) ?? number(v.tl),
      middle: number(v.hm) ?? number(v.tm),
      high: number(v.hh) ?? number(v.th),
    },
  }),
};

const GRADE: ShelfShape<'grade'> = {
  kind: 'grade',
  title: 'Grades',
  lead: 'Strength in MPa. One tonf/in² is 15.444 MPa, one ksi 6.895 MPa.',
  columns: ['tensile', 'yield', 'proof'],
  decimals: [0, 0, 0],
  cells: ({ tensile_MPa, yield_MPa, proof_MPa }: Grade) => [tensile_MPa, yield_MPa, proof_MPa],
  fields: [
    { name: 'tensile', label: 'Tensile, MPa' },
    { name: 'yield', label: 'Yield or 0.2 %, MPa' },
    { name: 'proof', label: 'Proof, MPa, if printed' },
  ],
  valuesOf: ({ tensile_MPa, yield_MPa, proof_MPa }: Grade) => ({
    tensile: typed(tensile_MPa),
    yield: typed(yield_MPa),
    proof: typed(proof_MPa),
  }),
  rowOf: (v) => ({ tensile_MPa: number(v.tensile), yield_MPa: number(v.yield), proof_MPa: number(v.proof) }),
};

const METAL: ShelfShape<'metal'> = {
  kind: 'metal',
  title: 'Parent metals',
  lead: 'What a thread is tapped in and a head sits on. Check the casting.',
  columns: ['shear, low', 'high', 'pressure, low', 'high', 'engagement'],
  decimals: [0, 0, 0, 0, 1],
  cells: (row: ParentMetal) => [
    row.shearLow_MPa,
    row.shearHigh_MPa,
    row.pressureLow_MPa,
    row.pressureHigh_MPa,
    row.engagement_d,
  ],
  fields: [
    { name: 'sl', label: 'Shear of the thread, low, MPa' },
    { name: 'sh', label: 'Shear of the thread, high, MPa' },
    { name: 'pl', label: 'Pressure under a head, low, MPa' },
    { name: 'ph', label: 'Pressure under a head, high, MPa' },
    { name: 'e', label: 'Least engagement, diameters' },
  ],
  valuesOf: (row: ParentMetal) => ({
    sl: typed(row.shearLow_MPa),
    sh: typed(row.shearHigh_MPa),
    pl: typed(row.pressureLow_MPa),
    ph: typed(row.pressureHigh_MPa),
    e: typed(row.engagement_d),
  }),
  rowOf: (v) => ({
    shearLow_MPa: number(v.sl),
    shearHigh_MPa: number(v.sh),
    pressureLow_MPa: number(v.pl),
    pressureHigh_MPa: number(v.ph),
    engagement_d: number(v.e),
  }),
};

const THREAD: ShelfShape<'thread'> = {
  kind: 'thread',
  title: 'Threads of our own',
  lead: 'Threads that are in no table, as measured. Their depth is taken from the form of their angle: 60° metric, 55° Whitworth, 47½° BA.',
  columns: ['diameter', 'pitch', 'angle'],
  decimals: [3, 3, 1],
  cells: (row: OwnThread) => [row.major_mm, row.pitch_mm, row.angle_deg],
  fields: [
    { name: 'major', label: 'Diameter over the crests, mm' },
    { name: 'pitch', label: 'Pitch, mm' },
    { name: 'angle', label: 'Angle, degrees' },
  ],
  valuesOf: (row: OwnThread) => ({
    major: typed(row.major_mm),
    pitch: typed(row.pitch_mm),
    angle: typed(row.angle_deg),
  }),
  rowOf: (v) => ({ major_mm: number(v.major), pitch_mm: number(v.pitch), angle_deg: number(v.angle) }),
};

export const SHELF_SHAPES = { film: FILM, grade: GRADE, metal: METAL, thread: THREAD } as const;
