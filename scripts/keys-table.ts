import { KEY_LIST } from '@/interface/shell/keys';

const START = '<!-- keys: made by `npm run keys` -->';
const END = '<!-- keys: end -->';

/** The table of keys as the README has it, from the list that the program shows. */
export const keysTable = (): string =>
  [
    '| where | key | does |',
    '| --- | --- | --- |',
    ...KEY_LIST.flatMap(({ where, keys }) =>
      keys.map(([key, does], i) => `| ${i === 0 ? where : ''} | ${key.replaceAll('|', '\\|')} | ${does} |`),
    ),
  ].join('\n');

/** A text with the table of keys in its place. @throws where the text has no such place */
export function withKeys(text: string): string {
  const [before, rest] = text.split(START);
  const after = rest?.split(END)[1];
  if (before === undefined || after === undefined) throw new Error('README.md has no place for the table of keys');
  return `${before}${START}\n${keysTable()}\n${END}${after}`;
}
