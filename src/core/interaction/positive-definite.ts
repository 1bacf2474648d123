import { DomainError } from '@/core/units';

/** A square matrix, row by row. */
export type Matrix = readonly (readonly number[])[];

const at = (matrix: Matrix, row: number, column: number): number =>
  (matrix[row] as readonly number[])[column] as number;

/** The lower factor L of a matrix L·Lᵀ, its rows one behind the other. */
export interface Factor {
  readonly size: number;
  readonly lower: Float64Array;
}

// Below this share of its own diagonal what is left of a pivot is rounding.
const LEAST_PIVOT = 1e-13;

/**
 * Cholesky's factor of a symmetric matrix; of which only the lower half is read.
 * @throws DomainError not-positive-definite
 */
export function factor(matrix: Matrix): Factor {
  const size = matrix.length;
  const lower = new Float64Array(size * size);
  for (let row = 0; row < size; row++)
    for (let column = 0; column <= row; column++) {
      let sum = at(matrix, row, column);
      for (let k = 0; k < column; k++) sum -= (lower[row * size + k] as number) * (lower[column * size + k] as number);
      if (row !== column) lower[row * size + column] = sum / (lower[column * size + column] as number);
      else if (sum > LEAST_PIVOT * at(matrix, row, row)) lower[row * size + row] = Math.sqrt(sum);
      else
        throw new DomainError(
          'not-positive-definite',
          'Pressed upon, something in this would give way upwards: it is not positive definite.',
          'compliance',
        );
    }
  return { size, lower };
}

/** The x of L·x = right. */
export function forwards({ size, lower }: Factor, right: readonly number[]): number[] {
  const x = [...right];
  for (let row = 0; row < size; row++) {
    let sum = x[row] as number;
    for (let k = 0; k < row; k++) sum -= (lower[row * size + k] as number) * (x[k] as number);
    x[row] = sum / (lower[row * size + row] as number);
  }
  return x;
}

/** The x of L·Lᵀ·x = right. */
export function solve(factored: Factor, right: readonly number[]): number[] {
  const { size, lower } = factored;
  const x = forwards(factored, right);
  for (let row = size - 1; row >= 0; row--) {
    let sum = x[row] as number;
    for (let k = row + 1; k < size; k++) sum -= (lower[k * size + row] as number) * (x[k] as number);
    x[row] = sum / (lower[row * size + row] as number);
  }
  return x;
}

/** The rows and columns of a matrix that are named. */
export const part = (matrix: Matrix, rows: readonly number[], columns: readonly number[] = rows): number[][] =>
  rows.map((row) => columns.map((column) => at(matrix, row, column)));

export const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, i) => sum + value * (b[i] as number), 0);
