/**
 * What a schema with `true` is checked against: a list may be read only to those who are given it, which the types of
 * schemas do not tell from no list at all.
 */
export type Checked<T> = {
  [K in keyof T]: Extract<T[K], readonly unknown[]> extends never ? T[K] : Listed<T[K]>;
};

type Listed<V> = V extends readonly (infer One)[] ? ([One] extends [readonly (infer Inner)[]] ? Inner[][] : One[]) : V;
