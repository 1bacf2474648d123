/** What a text stands for, worked out once for `most` texts at a time; what was asked for longest ago makes room. */
export function readOnce<Value>(most: number): (text: string, read: () => Value) => Value {
  const known = new Map<string, Value>();
  return (text, read) => {
    const found = known.get(text);
    const value = found ?? read();
    known.delete(text);
    known.set(text, value);
    const [oldest] = known.keys();
    if (known.size > most && oldest !== undefined) known.delete(oldest);
    return value;
  };
}
