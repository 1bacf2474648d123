import type { Guard } from '@/core/joint';
import type { Engine } from '@/model/engine/engine';
import { jointOfKind } from '@/model/joint/fastener-kind';
import type { Joint } from '@/model/joint/joint';
import { leavesOfJoint, torqueLeaves } from './leaves-of-joint';
import type { Leaf } from './leaf';
import { turnsOfLeaf } from './leaf-figure';
import { rankOf, rankedLeaves, sameSubject, type RankedLeaf, isNumberKnown } from './source-precedence';
import type { Source } from './source';

// Two printings of one figure in two units differ by about as much.
const APART_PCT = 3;

const cited = ({ leaf, source }: RankedLeaf) => `“${leaf.printedText}” (${source.title}, p. ${leaf.page})`;

const isApart = ({ offBy_pct }: RankedLeaf) => offBy_pct !== undefined && Math.abs(offBy_pct) > APART_PCT;

/** What of a source's limits cannot be held against this engine, because nobody said. */
function unknownLimit(
  { fromYear, toYear, fromNumber, toNumber }: Source,
  { year, engineNumber }: Pick<Engine, 'year' | 'engineNumber'>,
): string | undefined {
  const between = (from: string | number | null, to: string | number | null) =>
    [from ? `from ${from}` : '', to ? `to ${to}` : ''].filter(Boolean).join(' ');
  if (year === null && (fromYear !== null || toYear !== null))
    return `it is for engines ${between(fromYear, toYear)}, and the year of this one is not known`;
  if (!isNumberKnown(engineNumber) && (fromNumber !== '' || toNumber !== ''))
    return `it is for engines ${between(fromNumber, toNumber)}, and the number of this one is not known`;
  return undefined;
}

interface Reasoned {
  readonly leafId: string;
  readonly detail: Pick<Joint['detail'], 'leafReason' | 'overLeafId'>;
}

/**
 * What stands against the page that a joint's figure is from: another page governs, this one does not apply, two of
 * equal rank differ, or nobody can say whether it applies. A written reason is printed instead.
 */
export function pageGuards(
  ranked: readonly RankedLeaf[],
  { leafId, detail: { leafReason: written, overLeafId } }: Reasoned,
  engine: Pick<Engine, 'year' | 'engineNumber'>,
): readonly Guard[] {
  const used = ranked.find(({ leaf }) => leaf.id === leafId);
  if (!used) return [];
  const governing = ranked.find(({ governs }) => governs);
  // A reason was written over the page that governed then; over a page that came since it says nothing.
  const isOver = overLeafId === null || governing === undefined || governing.leaf.id === overLeafId;
  const leafReason = isOver ? written : null;
  const severity = leafReason === null ? 'stop' : 'ask';
  const why = leafReason === null ? '' : ` Taken all the same: ${leafReason}`;
  if (governing && governing !== used)
    return [
      {
        code: 'another-page-governs',
        severity,
        message: `${cited(governing)} governs this engine; the figure here is from ${cited(used)}. ${used.reason}${why}`,
      },
    ];
  if (!governing) return [{ code: 'page-out-of-force', severity, message: `${cited(used)}: ${used.reason}${why}` }];
  const equal = ranked.find(
    (one) => one !== used && !one.out && rankOf(one.source) === rankOf(used.source) && isApart(one),
  );
  const unknown = unknownLimit(used.source, engine);
  return [
    ...(equal
      ? [
          {
            code: 'pages-of-equal-rank',
            severity,
            message: `${cited(used)} and ${cited(equal)} rank alike and differ by ${Math.abs(equal.offBy_pct ?? 0).toFixed(0)} %: nothing but the later year or entry puts the first before the other.${why}`,
          } as const,
        ]
      : []),
    ...(unknown === undefined
      ? []
      : [
          {
            code: 'page-limits-unknown',
            severity: ranked.some(isApart) ? severity : 'ask',
            message: `${cited(used)} is used, but ${unknown}.${why}`,
          } as const,
        ]),
  ];
}

/** A turn that was entered beside the torque, and that nothing of this joint would bring to the face. */
function turnsBeside(leaves: readonly Leaf[], joint: Joint): readonly Guard[] {
  const used = leaves.find(({ id }) => id === joint.leafId);
  if (!used || turnsOfLeaf(used).length > 0) return [];
  return leavesOfJoint(leaves, joint)
    .filter(({ kind }) => kind === 'turn')
    .map(({ printedText, page }) => ({
      code: 'turn-beside',
      severity: 'ask',
      message: `“${printedText}” (p. ${page}) is in the book under the same subject, and is not part of this joint’s figure. Where the page means it after the torque, correct the entry to “${used.printedText} + ${printedText}”.`,
    }));
}

/** The same, from everything in an engine's book. */
const pageGuardsOf = (
  engine: Pick<Engine, 'year' | 'engineNumber'>,
  leaves: readonly Leaf[],
  sources: readonly Source[],
  joint: Joint,
): readonly Guard[] => [
  // A page that gives a stretch or a turn says nothing against a torque.
  ...pageGuards(rankedLeaves(leavesOfJoint(torqueLeaves(leaves), joint), sources, engine), joint, engine),
  ...turnsBeside(leaves, joint),
];

/** Of a joint's own fasteners and of each of its kinds. */
export const pageGuardsOfWhole = (
  engine: Pick<Engine, 'year' | 'engineNumber'>,
  leaves: readonly Leaf[],
  sources: readonly Source[],
  joint: Joint,
): readonly Guard[] => [
  ...pageGuardsOf(engine, leaves, sources, joint),
  ...joint.detail.kinds.flatMap((kind) =>
    pageGuardsOf(engine, leaves, sources, jointOfKind(joint, kind)).map((guard) => ({
      ...guard,
      message: `${kind.name}: ${guard.message}`,
    })),
  ),
];

export interface AgainstLeaf {
  /** What stops a joint from being made of the leaf without a word. */
  readonly stops: readonly Guard[];
  /** The leaf that governs its subject. */
  readonly governingId: string | null;
}

/** What stands against making a joint from a leaf. */
export function againstLeaf(
  engine: Pick<Engine, 'year' | 'engineNumber'>,
  leaves: readonly Leaf[],
  sources: readonly Source[],
  leaf: Leaf,
): AgainstLeaf {
  const alike = torqueLeaves(leaves).filter((one) => one.id === leaf.id || sameSubject(one.subject, leaf.subject));
  const ranked = rankedLeaves(alike, sources, engine);
  const unreasoned = { leafId: leaf.id, detail: { leafReason: null, overLeafId: null } };
  return {
    stops: pageGuards(ranked, unreasoned, engine).filter(({ severity }) => severity === 'stop'),
    governingId: ranked.find(({ governs }) => governs)?.leaf.id ?? null,
  };
}
