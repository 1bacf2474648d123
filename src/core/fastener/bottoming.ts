/** Lengths that decide whether a fastener clamps or only bottoms, mm. What was not measured is left out. */
export interface Reach {
  /** From under the head (or nut) to the end. */
  readonly length_mm?: number;
  /** Of thread, from the end. */
  readonly threadLength_mm?: number;
  /** Everything clamped, washers and gasket with it. */
  readonly grip_mm?: number;
  /** Full thread of a blind hole, from the face of the parent. */
  readonly holeDepth_mm?: number;
}

export type ReachFault =
  | { readonly code: 'bottoms-in-hole'; readonly over_mm: number }
  | { readonly code: 'shoulder-first'; readonly over_mm: number };

/**
 * Whether a fastener runs out of hole or of thread before it clamps: then it gives torque and no clamp.
 * In the hole: length − grip > depth. On its shoulder: length − thread > grip.
 */
export function reachFaults({ length_mm, threadLength_mm, grip_mm, holeDepth_mm }: Reach): readonly ReachFault[] {
  if (length_mm === undefined || grip_mm === undefined) return [];
  const intoHole = length_mm - grip_mm;
  const plain = threadLength_mm === undefined ? undefined : length_mm - threadLength_mm;
  return [
    ...(holeDepth_mm !== undefined && intoHole > holeDepth_mm
      ? [{ code: 'bottoms-in-hole' as const, over_mm: intoHole - holeDepth_mm }]
      : []),
    ...(plain !== undefined && plain > grip_mm ? [{ code: 'shoulder-first' as const, over_mm: plain - grip_mm }] : []),
  ];
}
