import { MAX_STEP_NAME } from './step';

/** A line of a page's own numbered instructions. */
export interface PastedStep {
  /** As it is numbered on the page: `3`, `4a`; empty where it has none. */
  readonly number: string;
  readonly name: string;
  /** What of the line did not go into the name. */
  readonly words: string;
}

const NUMBERED = /^\s*(?:\(?(\d{1,3}[a-z]?)\s*[.):]|step\s+(\d{1,3}[a-z]?)\s*[.):]?|[•*–-])\s+(.*)$/i;

/** The first sentence names a step; what follows are words of it. */
function named(text: string): Pick<PastedStep, 'name' | 'words'> {
  const [first = '', ...rest] = text.split(/(?<=[.;])\s+(?=\p{Lu})/u);
  const name = first.replace(/[.;]\s*$/, '');
  if (name.length <= MAX_STEP_NAME) return { name, words: rest.join(' ') };
  const cut = name.slice(0, MAX_STEP_NAME - 1).replace(/\s+\S*$/, '');
  return { name: `${cut}…`, words: text };
}

/**
 * Steps out of numbered instructions: a number or a dash begins one, a line without goes on with the one before. Text
 * without any number is a step a line.
 */
export function pastedSteps(text: string): readonly PastedStep[] {
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
  const isNumbered = lines.some((line) => NUMBERED.test(line));
  const steps: { number: string; text: string }[] = [];
  for (const line of lines) {
    const [, number, word, rest] = NUMBERED.exec(line) ?? [];
    const last = steps.at(-1);
    if (rest !== undefined) steps.push({ number: number ?? word ?? '', text: rest.trim() });
    else if (isNumbered && last) last.text = `${last.text} ${line.trim()}`;
    else steps.push({ number: '', text: line.trim() });
  }
  return steps.map(({ number, text: whole }) => ({ number, ...named(whole) })).filter(({ name }) => name !== '');
}
