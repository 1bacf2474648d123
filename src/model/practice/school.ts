/** One way of a question of house practice, with its reason. */
export interface School<Value extends string = string> {
  readonly value: Value;
  readonly name: string;
  readonly reason: string;
}

export const school = <const Value extends string>(value: Value, name: string, reason: string): School<Value> => ({
  value,
  name,
  reason,
});
