import { readLength, readTorque } from '@/core/print';
import { tryCore } from '@/model/try-core';
import { withUnsaidLocks, withUnsaidPlaces } from '@/model/joint/joint-detail';
import { PLAN_JSON } from '@/model/joint/tightening-plan';
import { BUILD_VERSION } from './build-file';

type Held = Readonly<Record<string, unknown>>;

/** Spellings of the first version. */
const SPELT: Readonly<Record<string, string>> = {
  minNm: 'min_Nm',
  maxNm: 'max_Nm',
  minDeg: 'min_deg',
  maxDeg: 'max_deg',
  minMm: 'min_mm',
  maxMm: 'max_mm',
  accuracyPct: 'accuracy_pct',
  bearingOuterMm: 'bearingOuter_mm',
  bearingInnerMm: 'bearingInner_mm',
  highestC: 'highest_C',
  ambientC: 'ambient_C',
  headC: 'head_C',
  eGpa: 'E_GPa',
  minStretchMm: 'minStretch_mm',
  maxStretchMm: 'maxStretch_mm',
  ceilingNm: 'ceiling_Nm',
  maxSetMm: 'maxSet_mm',
  lengthMm: 'length_mm',
  torqueNm: 'torque_Nm',
  thicknessMm: 'thickness_mm',
  sheets: 'measures',
};

const respelt = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(respelt);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, held]) => [SPELT[key] ?? key, respelt(held)]));
};

const list = (value: unknown): readonly Held[] => (Array.isArray(value) ? (value as readonly Held[]) : []);

/** The figure that a leaf of the first version chose by its place among the readings of its text. */
function figureOf({ kind, printedText, readingIndex, min_deg, max_deg }: Held): object | null {
  const text = typeof printedText === 'string' ? printedText : '';
  if (kind === 'turn') return { unit: '°', printedMin: min_deg, printedMax: max_deg };
  if (kind === 'torque' || kind === 'lever-pull') {
    const print = tryCore(() => readTorque(text));
    if (!print.ok || print.result.kind === 'turn' || print.result.kind === 'stages') return null;
    const reading = print.result.readings[Number(readingIndex)];
    if (!reading) return null;
    const { min_Nm: _, max_Nm: __, ...figure } = reading;
    return figure;
  }
  const length = kind === 'order' || kind === 'note' ? undefined : tryCore(() => readLength(text));
  if (!length?.ok) return null;
  const { unit, printedMin, printedMax } = length.result;
  return { unit, printedMin, printedMax };
}

function leafOfTwo(leaf: Held): Held {
  const { readingIndex: _, ...held } = leaf;
  return { ...held, figure: figureOf(leaf) };
}

const withProvenance = ({ standing, ...row }: Held): Held => ({ ...row, provenance: standing });

/** Version 1 to 2: one spelling of quantities, the chosen reading itself, where a shelf's row comes from. */
function toTwo(file: Held): Held {
  const held = respelt(file) as Held;
  const shelf = Object.entries((held.shelf ?? {}) as Held).map(([kind, rows]) => [
    kind,
    list(rows).map(withProvenance),
  ]);
  return {
    ...held,
    version: 2,
    leaves: list(held.leaves).map(leafOfTwo),
    tightenings: list(held.tightenings).map((round) => ({
      ...round,
      plan: PLAN_JSON.read(JSON.stringify(round.plan)),
    })),
    ...(held.shelf !== undefined && { shelf: Object.fromEntries(shelf) as Held }),
  };
}

/** Version 2 to 3: what was set aside is in the file, and says so; before, it was left out. */
const toThree = (file: Held): Held => ({ ...file, version: 3, asides: [] });

/** A version of which only the details of joints are others. */
const withDetails =
  (version: number, lift: (detail: Held) => Held) =>
  (file: Held): Held => ({
    ...file,
    version,
    joints: list(file.joints).map((joint) =>
      typeof joint.detail === 'object' && joint.detail !== null
        ? { ...joint, detail: lift(joint.detail as Held) }
        : joint,
    ),
  });

/** Version 3 to 4: that a fastener is not locked is something that somebody said. */
const toFour = withDetails(4, withUnsaidLocks);

/** Version 4 to 5: so is that no insert is wound in, that nothing is hot there, that no bore moves. */
const toFive = withDetails(5, withUnsaidPlaces);

const LIFTS: readonly ((file: Held) => Held)[] = [toTwo, toThree, toFour, toFive];

/**
 * Lifts a build file of any earlier version to this one; what is no such file is left as it is, for the check to
 * refuse.
 */
export function liftBuildFile(body: unknown): unknown {
  if (typeof body !== 'object' || body === null) return body;
  const { version } = body as Held;
  if (typeof version !== 'number' || version < 1 || version >= BUILD_VERSION) return body;
  return LIFTS.slice(version - 1).reduce<Held>((file, lift) => lift(file), body as Held);
}
