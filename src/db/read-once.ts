/** Plans of the engines somebody is at work on; one takes some 60 kB. */
const MOST = 200;

/** A reader that takes apart a text once, and the same text again from memory; the text read longest ago makes room. */
export function readOnce<Value>(read: (text: string) => Value): (text: string) => Value {
  const known = new Map<string, Value>();
  return (text) => {
    const found = known.get(text);
    const value = found ?? read(text);
    known.delete(text);
    known.set(text, value);
    const [oldest] = known.keys();
    if (known.size > MOST && oldest !== undefined) known.delete(oldest);
    return value;
  };
}
