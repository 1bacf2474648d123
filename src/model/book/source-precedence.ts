import type { Engine } from '@/model/engine/engine';
import type { Leaf } from './leaf';
import { type Source, SOURCE_KINDS } from './source';

/** A leaf that speaks of a joint, and how it stands among the others. */
export interface RankedLeaf {
  readonly leaf: Leaf;
  readonly source: Source;
  readonly governs: boolean;
  /** True where it does not apply, or was superseded. */
  readonly out: boolean;
  /** Why it governs, or why it does not. */
  readonly reason: string;
  /** Its figure against the governing one's, middle to middle, in per cent; absent where they cannot be compared. */
  readonly offBy_pct?: number;
}

/** Numbers and letters apart, so that B 99 comes before B 117. */
const parts = (text: string) => text.toUpperCase().match(/\d+|[A-Z]+/g) ?? [];

/** Whether an engine’s number says anything: blanks, dashes and question marks are no number. */
export const isNumberKnown = (engineNumber: string): boolean => parts(engineNumber).length > 0;

/** −1, 0 or 1 as engine numbers are counted: the last run of digits decides where the rest agrees. */
export function compareNumbers(a: string, b: string): number {
  const [left, right] = [parts(a), parts(b)];
  for (let i = 0; i < Math.max(left.length, right.length); i++) {
    const [x = '', y = ''] = [left[i], right[i]];
    const difference = /^\d/.test(x) && /^\d/.test(y) ? Number(x) - Number(y) : x.localeCompare(y);
    if (difference !== 0) return Math.sign(difference);
  }
  return 0;
}

type Applies = { readonly applies: true } | { readonly applies: false; readonly why: string };

/**
 * Whether a source speaks of this engine, by year and engine number. What is not known of the engine does not exclude
 * it.
 */
export function appliesTo(source: Source, engine: Pick<Engine, 'year' | 'engineNumber'>): Applies {
  const { fromYear, toYear, fromNumber, toNumber } = source;
  const { year } = engine;
  const engineNumber = isNumberKnown(engine.engineNumber) ? engine.engineNumber : undefined;
  if (year !== null && fromYear !== null && year < fromYear)
    return { applies: false, why: `it is for engines from ${fromYear}; this one is of ${year}` };
  if (year !== null && toYear !== null && year > toYear)
    return { applies: false, why: `it is for engines to ${toYear}; this one is of ${year}` };
  if (engineNumber && fromNumber && compareNumbers(engineNumber, fromNumber) < 0)
    return { applies: false, why: `it is for engines from number ${fromNumber}; this one is ${engineNumber}` };
  if (engineNumber && toNumber && compareNumbers(engineNumber, toNumber) > 0)
    return { applies: false, why: `it is for engines to number ${toNumber}; this one is ${engineNumber}` };
  return { applies: true };
}

export const rankOf = ({ rank, kind }: Source): number => rank ?? SOURCE_KINDS.indexOf(kind) + 1;

const KIND_WORDS: Readonly<Record<Source['kind'], string>> = {
  'part-print': 'the print on the part or its packet',
  bulletin: 'a bulletin',
  manual: 'a manual',
  supplier: 'a supplier’s sheet',
  own: 'own measurement',
  'shop-report': 'another shop’s report',
  hearsay: 'hearsay, until a page is shown',
};

export const kindWords = (kind: Source['kind']): string => KIND_WORDS[kind];

/** `bulletin`, where `kindWords` says `a bulletin`. */
export const kindName = (kind: Source['kind']): string => kindWords(kind).replace(/^an? /, '');

/** What a source goes by that was given no title: what it is, numbered where another is called so. */
export function titleOfKind(kind: Source['kind'], named: readonly string[] = []): string {
  const title = kindName(kind).replace(/^./, (letter) => letter.toUpperCase());
  let number = 1;
  const numbered = () => (number === 1 ? title : `${title} ${number}`);
  while (named.includes(numbered())) number += 1;
  return numbered();
}

const middleOf = ({
  min_Nm,
  max_Nm,
  min_mm,
  max_mm,
  min_deg,
  max_deg,
}: Leaf): { readonly of: string; readonly value: number } | undefined => {
  if (min_Nm !== null && max_Nm !== null) return { of: 'torque', value: (min_Nm + max_Nm) / 2 };
  if (min_mm !== null && max_mm !== null) return { of: 'length', value: (min_mm + max_mm) / 2 };
  return min_deg !== null && max_deg !== null ? { of: 'turn', value: (min_deg + max_deg) / 2 } : undefined;
};

function offBy(leaf: Leaf, governing: Leaf): number | undefined {
  const [own, other] = [middleOf(leaf), middleOf(governing)];
  return own && other && own.of === other.of && other.value !== 0 ? (own.value / other.value - 1) * 100 : undefined;
}

interface Candidate {
  readonly leaf: Leaf;
  readonly source: Source;
  readonly out?: string;
}

const byAuthority = (a: Candidate, b: Candidate) =>
  Number(a.out !== undefined) - Number(b.out !== undefined) ||
  rankOf(a.source) - rankOf(b.source) ||
  (b.source.year ?? 0) - (a.source.year ?? 0) ||
  b.leaf.createdAt.localeCompare(a.leaf.createdAt);

/**
 * Lists every leaf that speaks of a joint, the governing one first, each with its reason.
 * Applicability goes first, then superseding, then rank, then the later year.
 */
export function rankedLeaves(
  leaves: readonly Leaf[],
  sources: readonly Source[],
  engine: Pick<Engine, 'year' | 'engineNumber'>,
): readonly RankedLeaf[] {
  const pairs = leaves.flatMap((leaf) => {
    const source = sources.find((one) => one.id === leaf.sourceId);
    return source ? [{ leaf, source }] : [];
  });
  const inForce = pairs.filter(({ source }) => source.aside === undefined && appliesTo(source, engine).applies);
  const candidates = pairs.map(({ leaf, source }): Candidate => {
    if (source.aside !== undefined) return { leaf, source, out: `Its source was set aside: ${source.aside}.` };
    const applies = appliesTo(source, engine);
    if (!applies.applies) return { leaf, source, out: `Does not apply: ${applies.why}.` };
    const later = inForce.find((other) => other.source.supersedesId === source.id);
    return later ? { leaf, source, out: `Superseded by ${later.source.title}.` } : { leaf, source };
  });
  const sorted = [...candidates].sort(byAuthority);
  const first = sorted[0];
  if (!first) return [];
  return sorted.map(({ leaf, source, out }, i) => {
    const governs = i === 0 && out === undefined;
    const against = source.supersedesId === null ? '' : ' It supersedes the earlier entry for this engine.';
    const reason =
      out ?? (governs ? `Governs: ${kindWords(source.kind)}.${against}` : `Ranks lower: ${kindWords(source.kind)}.`);
    return {
      leaf,
      source,
      governs,
      out: out !== undefined,
      reason,
      ...(i > 0 && { offBy_pct: offBy(leaf, first.leaf) }),
    };
  });
}

/** Subjects are matched as a person would: case and spacing do not matter. */
export const sameSubject = (a: string, b: string): boolean =>
  a.trim().toLowerCase().replace(/\s+/g, ' ') === b.trim().toLowerCase().replace(/\s+/g, ' ');
