/** Friction of one film at the 5th, 50th and 95th percentile. */
export interface Friction {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** `standard`: a printed norm; `typical`: commonly quoted, a starting value only; `own`: measured in this shop. */
export type Provenance = 'standard' | 'typical' | 'own';

export interface Film {
  readonly id: string;
  readonly name: string;
  readonly thread: Friction;
  readonly head: Friction;
  readonly provenance: Provenance;
  readonly source: string;
}
