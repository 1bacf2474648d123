/** A piece of a line of working: words and signs, or a figure to so many significant digits. */
export type Piece = string | { readonly value: number; readonly digits: number };

/** One line of the working: the formula, then the same with figures put in. */
export interface WorkingLine {
  readonly formula: string;
  readonly figures: readonly Piece[];
}

export const figure = (value: number, digits = 4): Piece => ({ value, digits });
