interface Props {
  /** The id that a field names as its `list`. */
  readonly id: string;
  readonly words: readonly string[];
}

/** Words that a field offers as it is typed; anything else may be typed all the same. */
export const Suggestions = ({ id, words }: Props) => (
  <datalist id={id}>
    {[...new Set(words)].map((word) => (
      <option key={word} value={word} />
    ))}
  </datalist>
);
