/** A measured cell bears this while what stands in it is not the value that goes out: that is of before. */
export const UNREAD = 'data-unread';

/**
 * Puts the focus into the first cell within a part of the page whose text was not taken, and says so; undefined where
 * there is none. Whoever presses a key to keep what stands there means what stands there.
 */
export function unreadWithin(part: Element | null | undefined): string | undefined {
  const cell = part?.querySelector<HTMLInputElement>(`[${UNREAD}]`);
  if (!cell) return undefined;
  cell.focus();
  const label = cell.labels?.[0]?.textContent?.trim() || cell.getAttribute('aria-label');
  return `${label ? `“${label}”` : 'A cell'} cannot be taken as it stands: nothing is kept until it can.`;
}
