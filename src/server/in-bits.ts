const BIT_MS = 15;

/** Lets whatever waits be served before the work goes on. */
export const pause = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** Works through many items on the one thread without keeping it from others for more than a blink. */
export async function inBits<T, R>(items: readonly T[], work: (item: T, index: number) => R): Promise<readonly R[]> {
  const done: R[] = [];
  let since = performance.now();
  for (const [index, item] of items.entries()) {
    done.push(work(item, index));
    if (performance.now() - since < BIT_MS) continue;
    await pause();
    since = performance.now();
  }
  return done;
}
