import type { Note } from '@/core/units';

export interface ReckonerError {
  readonly code: string;
  readonly message: string;
  readonly field?: string;
}

export type Answer =
  | { readonly id: unknown; readonly ok: true; readonly result: object; readonly notes: readonly Note[] }
  | { readonly id: unknown; readonly ok: false; readonly error: ReckonerError };
