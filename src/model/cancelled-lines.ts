interface Cancelling {
  readonly id: string;
  /** The line that it cancels. */
  readonly strikes?: string | null;
}

/**
 * Ids of the lines that do not stand, of lines in the order in which they were written. A line that cancels may be
 * cancelled itself, and then what it cancelled stands again: the later ones go first.
 */
export function cancelledOf(lines: readonly Cancelling[]): ReadonlySet<string> {
  const cancelled = new Set<string>();
  for (const { id, strikes } of [...lines].reverse()) if (strikes && !cancelled.has(id)) cancelled.add(strikes);
  return cancelled;
}
