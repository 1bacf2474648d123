import { isDomainError } from '@/core/units';
import { fail, ok, type Result } from './result';

/** Works, and where the core refuses its input, answers with the refusal; a bug is thrown on. */
export function tryCore<T>(work: () => T): Result<T> {
  try {
    return ok(work());
  } catch (error) {
    if (!isDomainError(error)) throw error;
    const { code, message, field } = error;
    return fail({ code, message, ...(field !== undefined && { field }) });
  }
}
