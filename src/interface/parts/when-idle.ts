/** Does it once the browser has nothing else to do, which not every browser tells. */
export function whenIdle(work: () => void): void {
  if (typeof requestIdleCallback === 'function') requestIdleCallback(work, { timeout: 2000 });
  else setTimeout(work, 500);
}
