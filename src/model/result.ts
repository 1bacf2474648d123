/** What somebody else wrote meanwhile: the version on disk, and where it differs from what was sent. */
export interface Stale {
  readonly version: number;
  readonly differences: readonly Difference[];
  /** The row as it is on disk now. */
  readonly current: object;
}

/** One field of which two values stand: on disk, and as sent. */
export interface Difference {
  readonly field: string;
  readonly onDisk: string;
  readonly sent: string;
}

/** The one shape of error, in actions and over HTTP. */
export interface Problem {
  readonly code: string;
  readonly message: string;
  readonly field?: string;
  /** Further fields at fault, where a form has several. */
  readonly fields?: Readonly<Record<string, string>>;
  /** Set where the row was changed since the sender read it. */
  readonly stale?: Stale;
}

export type Result<T> = { readonly ok: true; readonly result: T } | { readonly ok: false; readonly error: Problem };

export const ok = <T>(result: T): Result<T> => ({ ok: true, result });

export const fail = (error: Problem): { readonly ok: false; readonly error: Problem } => ({ ok: false, error });
