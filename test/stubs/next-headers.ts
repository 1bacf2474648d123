const jar = new Map<string, string>();

/** The cookies of the one browser of a test. */
export const cookies = () =>
  Promise.resolve({
    get: (name: string) => (jar.has(name) ? { name, value: jar.get(name) as string } : undefined),
    set: (name: string, value: string) => void jar.set(name, value),
  });
