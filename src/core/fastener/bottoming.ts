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
  /** True where the hole goes through. */
  readonly isThrough?: boolean;
  /** Of the thread in the hole: within one of bottoming is too near to tell. */
  readonly pitch_mm?: number;
}

export type ReachFault =
  | { readonly code: 'bottoms-in-hole'; readonly over_mm: number }
  | { readonly code: 'bottoms-nearly'; readonly over_mm: number }
  | { readonly code: 'shoulder-first'; readonly over_mm: number };

/**
 * Whether a fastener runs out of hole or of thread before it clamps: then it gives torque and no clamp.
 * In the hole: length − grip > depth; within a pitch of it is `bottoms-nearly`, `over_mm` what is left. On its shoulder: length − thread > grip.
 */
export function reachFaults(reach: Reach): readonly ReachFault[] {
  const { length_mm, threadLength_mm, grip_mm, holeDepth_mm, isThrough = false, pitch_mm = 0 } = reach;
  if (length_mm === undefined || grip_mm === undefined) return [];
  const intoHole = length_mm - grip_mm;
  const spare = holeDepth_mm === undefined || isThrough ? Infinity : holeDepth_mm - intoHole;
  const plain = threadLength_mm === undefined ? undefined : length_mm - threadLength_mm;
  return [
    ...(spare < 0
      ? [{ code: 'bottoms-in-hole' as const, over_mm: -spare }]
      : spare < pitch_mm
        ? [{ code: 'bottoms-nearly' as const, over_mm: spare }]
        : []),
    ...(plain !== undefined && plain > grip_mm ? [{ code: 'shoulder-first' as const, over_mm: plain - grip_mm }] : []),
  ];
}
