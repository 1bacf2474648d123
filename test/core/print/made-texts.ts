import notations from '../../reference/torque-notations.json';

/** The same numbers for the same seed, on every machine. */
export function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const FIGURES = (
  '5½|38|36.5|36,5|1,200|1.200|12.500|7/8|3/4|2 1/4|1-1/2|5⅞|0.5|.5|1 200|1,234.5|one and a half|' +
  'thirty-eight|half|3O|l0|5%|22|100|33|3.050|1.234,5|−5|-4|2000000|0|20/35/42|three|6 12|5 123'
).split('|');
const UNITS = (
  'lb ft|lb. ft.|lbs/ft|mkg|m.kg|kg-m|Nm|N·m|in lb|inch pounds|ft-lb|foot pounds|cmkg|lb|kg|daNm|' +
  'degrees|°|turn|flats|kg/cm2|pound feet|kg.m.|oz in|psi|mm|1b. ft.|grad|"|thou'
).split('|');
const BETWEEN = (
  ' |-|–| to | - |/| bis | ± | +/- | plus or minus | (|) |; |, then | + | or | = | x | at | on a |..|…|' +
  ': |÷| and |, '
).split('|');
const BESIDE = (
  ', oiled|, threads oiled| dry|, threads dry, faces oiled| not oiled| with clean engine oil| geölt|' +
  ' max.| min| not more than | approx. | in three stages| first| ?|, then 90°| M8x1.25| (10 off)|' +
  " 3/8 BSF| oil pump| 4th pass| cold|, ANTI-SEIZE| back off| square nut|¶|´´|''| snug|" +
  ' on a 10 in spanner| 5 %| +2 -1| o| nut| bolts| 2nd stage| "oiled"| (dry), threads greased'
).split('|');

/** Texts that are near what pages print, and some that no page would. */
export function madeTexts(count: number): readonly string[] {
  const next = chance(20260512);
  const one = (of: readonly string[]) => of[Math.floor(next() * of.length)] ?? '';
  return Array.from({ length: count }, () => {
    let text = next() < 0.15 ? one(BESIDE) : '';
    text += one(FIGURES);
    if (next() < 0.5) text += one(BETWEEN) + one(FIGURES);
    text += (next() < 0.7 ? ' ' : '') + one(UNITS);
    if (next() < 0.35) text += `${one(BETWEEN)}${one(FIGURES)} ${one(UNITS)}`;
    for (let more = next(); more < 0.5; more += 0.3) text += one(BESIDE);
    return text;
  });
}

/** What is read of a text, or why nothing is. */
export const said = (read: (text: string) => unknown, text: string): string => {
  try {
    return JSON.stringify(read(text));
  } catch (error) {
    const { code, message } = error as { readonly code?: string; readonly message: string };
    return `${code}: ${message}`;
  }
};

/** Every text of the table of notations, with whatever else is written in it. */
export const knownTexts = (): readonly string[] => {
  const quoted = JSON.stringify(notations).matchAll(/"(?:[^"\\]|\\.)*"/g);
  return [...new Set(Array.from(quoted, ([text]) => JSON.parse(text) as string))];
};
