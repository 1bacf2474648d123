import { DomainError } from '@/core/units';

/**
 * The code with which the work refuses; undefined where it does not refuse. Anything but a DomainError is thrown on.
 */
export function codeOf(work: () => unknown): string | undefined {
  try {
    work();
    return undefined;
  } catch (error) {
    if (error instanceof DomainError) return error.code;
    throw error;
  }
}

/** The field at which the work refuses; undefined where it does not refuse or names none. */
export function fieldOf(work: () => unknown): string | undefined {
  try {
    work();
    return undefined;
  } catch (error) {
    if (error instanceof DomainError) return error.field;
    throw error;
  }
}
