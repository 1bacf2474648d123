/** Plans of the engines somebody is at work on; one takes some 60 kB. */
const MOST = 200;

/** What a digest stands for, worked out once; what was asked for longest ago makes room. */
export function readOnce<Value>(): (digest: string, read: () => Value) => Value {
  const known = new Map<string, Value>();
  return (digest, read) => {
    const found = known.get(digest);
    const value = found ?? read();
    known.delete(digest);
    known.set(digest, value);
    const [oldest] = known.keys();
    if (known.size > MOST && oldest !== undefined) known.delete(oldest);
    return value;
  };
}
