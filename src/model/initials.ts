/** Where a device keeps the initials of whoever works at it. */
export const WHO_COOKIE = 'spanner-who';

/** Initials of a person, as they stand on a line: one to four letters or digits. */
export const INITIALS = /^[\p{L}\p{N}]{1,4}$/u;

/** Initials as typed, or as a device sends them; empty where they are none. */
export function initialsIn(text: string | undefined): string {
  const own = (text ?? '').replace(/[\s.]/g, '').toUpperCase();
  return INITIALS.test(own) ? own : '';
}
