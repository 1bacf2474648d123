import { assertPositive, dictionary, tidy, wrongInput, type Note } from '@/core/units';

export const NAMED_SCHEMES = ['halves', 'thirds', 'quarters'] as const;
export type NamedScheme = (typeof NAMED_SCHEMES)[number];
export type StageScheme = NamedScheme | readonly number[];

const NAMED = dictionary<readonly number[]>({
  halves: [1 / 2, 1],
  thirds: [1 / 3, 2 / 3, 1],
  quarters: [1 / 4, 1 / 2, 3 / 4, 1],
} satisfies Record<NamedScheme, readonly number[]>);

const EXPECTED = 'must be halves, thirds, quarters, or a list of fractions that rises to 1';

function fractionsOf(scheme: StageScheme): readonly number[] {
  const fractions = typeof scheme === 'string' ? NAMED[scheme] : scheme;
  if (!fractions || fractions.length === 0) throw wrongInput('scheme', `${EXPECTED}.`);
  const rises = fractions.every((f, i) => f > (i === 0 ? 0 : (fractions[i - 1] as number)) && f <= 1);
  if (!rises || fractions.at(-1) !== 1) throw wrongInput('scheme', `${EXPECTED}, got ${JSON.stringify(scheme)}.`);
  return fractions;
}

/**
 * The figures of a tightening in stages, in whatever unit `final` and `graduation` share.
 * Each is rounded to the graduation; the last is exactly `final`. A stage that rounding leaves at nothing,
 * at the stage before it or at the final figure is dropped, with a note.
 * @throws DomainError bad-field
 * @example stages(40, 'halves', 1).stages // [20, 40]
 */
export function stages(
  final: number,
  scheme: StageScheme,
  graduation: number,
): { readonly stages: readonly number[]; readonly notes: readonly Note[] } {
  assertPositive(final, 'final');
  assertPositive(graduation, 'graduation');
  const fractions = fractionsOf(scheme);
  const kept: number[] = [];
  for (const fraction of fractions.slice(0, -1)) {
    const rounded = tidy(Math.round((final * fraction) / graduation) * graduation);
    if (rounded > (kept.at(-1) ?? 0) && rounded < final) kept.push(rounded);
  }
  kept.push(final);
  const dropped = fractions.length - kept.length;
  const notes =
    dropped > 0
      ? [
          {
            code: 'stages-merged',
            message: `${dropped} of the stages fell together on the wrench's graduation and were left out.`,
          },
        ]
      : [];
  return { stages: kept, notes };
}
