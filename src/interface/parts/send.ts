import type { Problem, Result } from '@/model/result';
import { noteWrite } from './second-press';

export const UNREACHED: Problem = {
  code: 'unreached',
  message:
    'The program on this machine did not answer. What you typed is still here. See that it is running, then try again.',
};

const NOT_TAKEN: Problem = {
  code: 'not-taken',
  message:
    'The program answered, but did not take it: it may be larger than 60 MB, or the program was exchanged meanwhile. What you typed is still here. Load the page again, then try once more.',
};

/** An action that fails on the way throws of itself where nobody answered, and of the answer where somebody did. */
const wasAnswered = (error: unknown): boolean =>
  error instanceof Error && ('digest' in error || /unexpected response/i.test(error.message));

/** Calls an action; a server that does not answer, or answers nothing, becomes a refusal like any other. */
export async function send<Values, T>(
  action: (values: Values) => Promise<Result<T>>,
  values: Values,
): Promise<Result<T>> {
  noteWrite();
  try {
    // An act that could not be handed on comes back as nothing at all.
    const outcome = (await action(values)) as Result<T> | undefined;
    return outcome ?? { ok: false, error: UNREACHED };
  } catch (error) {
    return { ok: false, error: wasAnswered(error) ? NOT_TAKEN : UNREACHED };
  }
}
