/** A text as the string of a style sheet, in which nothing of it can be taken for anything else. */
export const cssString = (text: string): string =>
  `"${[...text].map((sign) => (/[\p{L}\p{N} .,]/u.test(sign) ? sign : `\\${(sign.codePointAt(0) ?? 32).toString(16)} `)).join('')}"`;

/** What stands at the head of every printed page: of which engine and which joint it is. */
export const RunningHead = ({ words }: { readonly words: string }) => (
  <style>{`@page { @top-left { content: ${cssString(words)}; font: 9pt sans-serif } }`}</style>
);
