/** The one shape of error, in actions and over HTTP. */
export interface Problem {
  readonly code: string;
  readonly message: string;
  readonly field?: string;
  /** Further fields at fault, where a form has several. */
  readonly fields?: Readonly<Record<string, string>>;
}

export type Result<T> = { readonly ok: true; readonly result: T } | { readonly ok: false; readonly error: Problem };

export const ok = <T>(result: T): Result<T> => ({ ok: true, result });

export const fail = (error: Problem): { readonly ok: false; readonly error: Problem } => ({ ok: false, error });
