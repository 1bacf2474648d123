import { nanoid } from 'nanoid';

const KEY = 'spanner-bench';

/** What this screen is called among those that look at one round; the same after a reload, another in another tab. */
export function benchId(): string {
  const known = sessionStorage.getItem(KEY);
  if (known !== null) return known;
  const own = nanoid();
  sessionStorage.setItem(KEY, own);
  return own;
}
