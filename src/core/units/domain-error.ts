/** Figures without the noise that conversion leaves in their last digits: 6.858000000000001 mm was 0.27 in. */
const withoutNoise = (words: string): string =>
  words.replace(/\d+\.\d{9,}(?:e[-+]?\d+)?/g, (figure) => String(Number(Number(figure).toPrecision(9))));

/**
 * What the core throws when it is given something it cannot reckon with.
 * `code` is stable and fit for tests and logs; `message` is a full sentence for a person;
 * `field` names the input at fault, where one is.
 */
export class DomainError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly field?: string,
  ) {
    super(withoutNoise(message));
    this.name = 'DomainError';
  }
}

/**
 * Tells a refusal from a bug. By name, not by class: a framework may bundle this module more than once,
 * and then an error from one copy is no instance of the other's class.
 */
export const isDomainError = (thrown: unknown): thrown is DomainError =>
  thrown instanceof Error && thrown.name === 'DomainError';

/** A remark that travels with a result: the figure stands, but the reader should know this. */
export interface Note {
  readonly code: string;
  readonly message: string;
}

/** Runs the work, and where it refuses its input, names `field` as the one at fault. */
export function atField<T>(field: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (isDomainError(error)) throw new DomainError(error.code, error.message, field);
    throw error;
  }
}
