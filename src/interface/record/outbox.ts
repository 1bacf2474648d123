const keyOf = (name: string) => `spanner-outbox-${name}`;

/** Lines that the server has not acknowledged yet; kept in the browser so that a reload does not lose them. */
export function loadOutbox<Line>(name: string): readonly Line[] {
  try {
    return JSON.parse(localStorage.getItem(keyOf(name)) ?? '[]') as Line[];
  } catch {
    return [];
  }
}

export function saveOutbox(name: string, lines: readonly unknown[]): void {
  if (lines.length === 0) localStorage.removeItem(keyOf(name));
  else localStorage.setItem(keyOf(name), JSON.stringify(lines));
}
