import { INCH_MM, THOU_MM, type Note } from '@/core/units';
import type { Part } from './conditions';
import type { Limits } from './verdict';

export interface DoubtInput {
  readonly part: Part;
  readonly value_mm: number;
  /** What the size should be about, and what has been read of the same part. */
  readonly nominal_mm?: number;
  readonly others_mm?: readonly number[];
  /** The mean of the other side of a pair, and whether this part must be the smaller one. */
  readonly opposite_mm?: number;
  readonly mustBe?: 'smaller' | 'larger';
  /** What the other side is called. */
  readonly oppositeName?: string;
  /** Limits of the figure itself, where one reading is the figure: a gap, a strip. */
  readonly limits?: Limits;
}

const TEN_TOLERANCE = 0.03;
const UNIT_TOLERANCE = 0.03;
const FAR = 0.02;
const WIDE = 10;

const median = (values: readonly number[]) => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
};

const isNear = (ratio: number, to: number, tolerance: number) => Math.abs(ratio / to - 1) <= tolerance;

const mm = (value: number) => `${Number(value.toFixed(4))} mm`;
const doubt = (code: string, message: string): Note => ({ code, message });

const SLIPS: readonly (readonly [ratio: number, code: string, words: string])[] = [
  [10, 'slipped-zero', 'ten times'],
  [0.1, 'slipped-zero', 'a tenth of'],
  [INCH_MM, 'unit-slip', '25.4 times'],
  [1 / INCH_MM, 'unit-slip', '1/25.4 of'],
  [1000, 'unit-slip', 'a thousand times'],
  [0.001, 'unit-slip', 'a thousandth of'],
];

function sizeDoubt(value_mm: number, reference_mm: number): Note | undefined {
  const ratio = value_mm / reference_mm;
  const slip = SLIPS.find(([to]) => isNear(ratio, to, to === 10 || to === 0.1 ? TEN_TOLERANCE : UNIT_TOLERANCE));
  if (slip) {
    const why = slip[1] === 'slipped-zero' ? 'A zero has slipped, it seems.' : 'It seems to be in another unit.';
    return doubt(slip[1], `${mm(value_mm)} is ${slip[2]} the ${mm(reference_mm)} expected. ${why}`);
  }
  if (Math.abs(ratio - 1) > FAR)
    return doubt(
      'far-off',
      `${mm(value_mm)} is ${(Math.abs(ratio - 1) * 100).toFixed(1)} % off the ${mm(reference_mm)} expected. Read it again.`,
    );
  return undefined;
}

/** A figure as small as a gap: in another unit it would fit, or it is far from anything wanted. */
function gapDoubt(value_mm: number, { min_mm, max_mm }: Limits): Note | undefined {
  const fits = (value: number) => value >= min_mm / 2 && value <= max_mm * 2;
  if (fits(value_mm) || value_mm === 0) return undefined;
  if (fits(value_mm * THOU_MM))
    return doubt(
      'thou-as-mm',
      `${mm(value_mm)} would be right as ${Number(value_mm.toFixed(3))} thou. Which unit was read?`,
    );
  if (fits(value_mm / THOU_MM))
    return doubt('mm-as-thou', `${mm(value_mm)} would be right as mm, not thou. Which unit was read?`);
  if (fits(value_mm / 10) || fits(value_mm * 10))
    return doubt('slipped-zero', `${mm(value_mm)} is ten times off what is wanted. A zero has slipped, it seems.`);
  return value_mm > max_mm * WIDE
    ? doubt('far-off', `${mm(value_mm)} is more than ${WIDE} times what is wanted. Read it again.`)
    : undefined;
}

/** What is doubtful about a reading at the moment in which it is typed, a sentence each; empty where nothing is. */
export function readingDoubts({
  part,
  value_mm,
  nominal_mm,
  others_mm = [],
  opposite_mm,
  mustBe,
  oppositeName = 'other side',
  limits,
}: DoubtInput): readonly Note[] {
  if (part === 'zero' || part === 'push' || part === 'pull' || part === 'high' || part === 'low') return [];
  const reference = median(others_mm) ?? nominal_mm;
  const isSize = part === 'journal' || part === 'bore';
  const found = isSize || !limits ? reference && sizeDoubt(value_mm, reference) : gapDoubt(value_mm, limits);
  if (found) return [found];
  if (opposite_mm === undefined || mustBe === undefined) return [];
  if (mustBe === 'smaller' && value_mm >= opposite_mm)
    return [doubt('journal-over-bore', `${mm(value_mm)} is not smaller than the ${oppositeName}, ${mm(opposite_mm)}.`)];
  if (mustBe === 'larger' && value_mm <= opposite_mm)
    return [doubt('journal-over-bore', `${mm(value_mm)} is not larger than the ${oppositeName}, ${mm(opposite_mm)}.`)];
  return [];
}

const RETURN_GRADUATIONS = 2;

/** What is doubtful about a dial that was pushed, pulled and let back: it must come back to where it was pushed. mm */
export function dialDoubts(
  push_mm: number | undefined,
  pull_mm: number | undefined,
  zero_mm: number | undefined,
  resolution_mm = 0.01,
): readonly Note[] {
  if (push_mm === undefined) return [];
  if (pull_mm !== undefined && pull_mm < push_mm)
    return [doubt('pull-below-push', 'Pulled reads less than pushed: the two are exchanged, or the dial has slipped.')];
  if (zero_mm !== undefined && Math.abs(zero_mm - push_mm) > RETURN_GRADUATIONS * resolution_mm + 1e-9)
    return [
      doubt(
        'no-return',
        `The dial did not come back: ${mm(zero_mm)} against ${mm(push_mm)}. It has slipped; read the three again.`,
      ),
    ];
  return [];
}

/** Feelers of a usual set, mm: every twentieth to 0.1, hundredths between, twentieths above; and in thou. */
const METRIC_BLADES = [
  3, 4, 5, 6, 7, 8, 9, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80, 85, 90, 95, 100,
].map((n) => n / 100);
const INCH_BLADES = [1.5, ...Array.from({ length: 24 }, (_, i) => i + 2), 28, 30, 32, 35].map((thou) => thou * THOU_MM);
const SAME_BLADE_MM = 0.0005;

const isBlade = (value: number) =>
  [...METRIC_BLADES, ...INCH_BLADES].some((blade) => Math.abs(blade - value) < SAME_BLADE_MM);

function twoBlades(value: number): readonly [number, number] | undefined {
  for (const set of [METRIC_BLADES, INCH_BLADES])
    for (const thin of set) {
      const rest = set.find((blade) => blade >= thin && Math.abs(blade + thin - value) < SAME_BLADE_MM);
      if (rest !== undefined) return [thin, rest];
    }
  return undefined;
}

/** What is doubtful about a pair of feelers: no blade of that thickness is made, or one between was not tried. mm */
export function feelerDoubts(goes_mm: number | undefined, stops_mm: number | undefined): readonly Note[] {
  const doubts: Note[] = [];
  for (const value of [goes_mm, stops_mm])
    if (value !== undefined && value > 0 && !isBlade(value)) {
      const pair = twoBlades(value);
      if (pair)
        doubts.push(
          doubt(
            'two-leaves',
            `No usual leaf is ${mm(value)}: two together, ${mm(pair[0])} and ${mm(pair[1])}? Oil and burrs between them add to it.`,
          ),
        );
    }
  if (goes_mm !== undefined && stops_mm !== undefined && stops_mm > goes_mm) {
    const untried = METRIC_BLADES.filter(
      (blade) => blade > goes_mm + SAME_BLADE_MM && blade < stops_mm - SAME_BLADE_MM,
    );
    if (untried.length > 1)
      doubts.push(
        doubt(
          'untried-leaves',
          `${untried.length} leaves between ${mm(goes_mm)} and ${mm(stops_mm)} were not tried: the interval is wide.`,
        ),
      );
  }
  return doubts;
}
