import { DomainError } from '@/core/units';

type Held = Readonly<Record<string, unknown>>;

/** A kind of JSON that is kept for good: every version of it can be read for ever. */
export interface StoredJson<Value> {
  readonly version: number;
  readonly read: (text: string) => Value;
  readonly write: (value: Value) => string;
}

/**
 * A reader and a writer of one kind of stored JSON.
 * `lifts[i]` makes version i + 2 of version i + 1; what has no version is of the first.
 * @throws DomainError newer-json where the text was written by a newer program
 */
export function storedJson<Value extends object>(
  name: string,
  lifts: readonly ((held: Held) => Held)[],
): StoredJson<Value> {
  const version = lifts.length + 1;
  return {
    version,
    read: (text) => {
      const { version: written = 1, ...held } = JSON.parse(text) as Held;
      if (typeof written !== 'number' || written > version)
        throw new DomainError(
          'newer-json',
          `This ${name} was written by a newer version of the program (${String(written)}; this one reads up to ${version}).`,
        );
      return lifts.slice(written - 1).reduce<Held>((value, lift) => lift(value), held) as Value;
    },
    write: (value) => JSON.stringify({ version, ...value }),
  };
}
