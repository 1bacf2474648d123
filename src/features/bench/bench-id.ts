import { nanoid } from 'nanoid';

const KEY = 'spanner-bench';
let own: string | undefined;

/**
 * What this screen is called among those that look at one round; the same after a reload, another in another tab. It
 * lies in the tab's store only between two pages: a tab that is doubled while it stands takes no name along.
 */
export function benchId(): string {
  if (own !== undefined) return own;
  const name = sessionStorage.getItem(KEY) ?? nanoid();
  own = name;
  sessionStorage.removeItem(KEY);
  window.addEventListener('pagehide', () => sessionStorage.setItem(KEY, name));
  window.addEventListener('pageshow', () => sessionStorage.removeItem(KEY));
  return name;
}
