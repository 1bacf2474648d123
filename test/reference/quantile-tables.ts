/** Student's t at 0.95 and 0.975, as printed in common tables, by degrees of freedom. */
export const STUDENT: readonly (readonly [df: number, t95: number, t975: number])[] = [
  [1, 6.314, 12.706], [2, 2.92, 4.303], [3, 2.353, 3.182], [4, 2.132, 2.776], [5, 2.015, 2.571], [6, 1.943, 2.447], [7, 1.895, 2.365], [9, 1.833, 2.262],
  [10, 1.812, 2.228], [19, 1.729, 2.093], [30, 1.697, 2.042], [60, 1.671, 2.0], [120, 1.658, 1.98],
]; // prettier-ignore

/** The standard normal's quantile, as printed. */
export const NORMAL: readonly (readonly [p: number, z: number])[] = [
  [0.5, 0], [0.9, 1.281_55], [0.95, 1.644_85], [0.975, 1.959_96], [0.99, 2.326_35], [0.999, 3.090_23], [0.999_9, 3.719_02], [0.999_999_9, 5.199_34],
]; // prettier-ignore

/** t(0.95, n − 1)·√(1 + 1/n): the factor on s for the next bolt after n. */
export const NEXT_BOLT_FACTOR: readonly (readonly [n: number, factor: number])[] = [
  [2, 7.73], [3, 3.37], [4, 2.63], [5, 2.34], [6, 2.18], [8, 2.01], [10, 1.92], [20, 1.77],
]; // prettier-ignore
