import { askingWords } from './asking-words';
import { isDigit } from './characters';

/** What a page prints of the thread and of what the head turns on; as printed, but for a negation, which is turned round. */
export interface PrintedConditions {
  readonly rest: string;
  readonly thread?: string;
  readonly head?: string;
  /** Words on oil or dryness that could not be taken for either. */
  readonly unread: readonly string[];
}

const ADVERBS = '(?:(?:lightly|slightly|well|very lightly|freshly|engine|motor|clean|light|leicht|légèrement)[ -])?';
const OILS =
  'in (?:clean )?(?:engine |motor )?oil|oiled|lubricated|lubrication|lubricant|lubricate|greased|grease|graphited|waxed|wax|molybdenum (?:disulphide|paste|grease)|' +
  'moly(?: paste| grease)?|anti-?seize|copper paste|thread ?locker|thread lock|locking compound|tallow(?: and graphite)?|graphite(?: grease| paste)?|oil|' +
  'geölt(?:en|em|e)?|öl|gefettet|fett|graissées?|graissés?|graisse|huilées?|huilés?|huile|oliat[aoei]|olio|ingrassat[aoei]|grasso|lubrificat[aoei]|' +
  'aceitad[ao]s?|engrasad[ao]s?|lubricad[ao]s?|aceite|inoljad[ea]?|oljad[ea]?|smord[ae]?|olja|geolied|ingevet|olie|naolejovan[éý]|namazan[éý]|olejem|smurt|smøres';
const DRY =
  'unlubricated|un-oiled|unoiled|dry|trocken(?:en|em)?|à sec|secs?|sèches?|secc[aoh]i?e?|asciutt[aoie]|sec[ao]s?|torra?|torrt|droog|droge|such[éý]|na sucho|tørt?';
const NOT =
  "(?:do not|don't|must not|should not|never|not|no|without|free (?:of|from)|ohne|nicht|kein(?:e|en)?|sans|ne pas|pas|non|senza|sin|utan|ej|inte|zonder|niet|geen|bez|ne)";
const THREAD =
  '(?:threads?|studs?|filets?|filetages?|gewinde|filett[oi]|rosca|roscas|gängor|gänga|draad|závit[ey]?|gwint[ey]?)';
const HEAD =
  '(?:faces?|washers?|under (?:the )?heads?|heads?|nut faces?|seats?|auflage|scheiben?|rondelles?|rondell[ae]|arandelas?|brickor|bricka)';
const EDGE = '(?<![\\p{L}])';
const END = '(?![\\p{L}])';

const STATE = new RegExp(`${EDGE}(${ADVERBS}(?:(?:${OILS})|(${DRY})))${END}`, 'u');
/** Each oil and each dryness has one of these in one of its words. */
export const MAY_SAY =
  /oil|dry|lubri|greas|graph|wax|mol|seize|copper|lock|tallow|öl|fett|trocken|graiss|huil|sec|sèch|oli|grass|aceit|engras|olj|smor|droo|droge|vet|such|olej|namaz|tør|torr|smø|smur|asciut/u;

/** Parts of an engine whose names have oil or dry in them. */
const PARTS = new RegExp(
  `${EDGE}(?:oil[- ](?:pump|filter|pan|sump|seal|drain|gallery|cooler|pipe|feed|union|thrower|pressure|way|hole|banjo|strainer|tank|plug)s?|dry[- ](?:clutch|sump|liner|plate|battery)|lock(?:ing)?[- ](?:nut|washer|tab|plate|ring|bolt|screw)s?|locknuts?|wet[- ]sump|grease[- ](?:nipple|cap)s?|copper (?:washer|gasket|asbestos)s?|ölwanne|ölpumpe|ölfilter|ölablass\\p{L}*|pompe à huile|pompa (?:dell['’])?olio|bomba de aceite|oljepump|oljesump|oliepomp)${END}`,
  'gu',
);

const NEGATED = new RegExp(`${EDGE}${NOT}${END}[^.;,()]{0,24}$`, 'u');
const NOT_BEFORE = new RegExp(`${NOT}[^.;,()]{0,24}$`, 'u');
const BESIDE_THREAD = new RegExp(`${EDGE}${THREAD}${END}`, 'u');
const BESIDE_HEAD = new RegExp(`${EDGE}${HEAD}${END}`, 'u');
/** Words that may stand in a clause of its own beside a condition, and are part of what is said of it. */
const CLAUSE_WORDS = new RegExp(
  `${EDGE}(?:${NOT}|use|used|using|apply|applied|any|with|when|if|in|to|be|are|is|being|the|a|and|must|should|clean|cleaned|assembled?|fitted?|condition|state|only|surfaces?|both|all|mit|bei|und|de|les|avec|con|le|i|med|met|en|s|${THREAD}|${HEAD}|nuts?|bolts?)${END}`,
  'gu',
);

interface Clause {
  readonly text: string;
  readonly at: number;
}

const FIGURE = /\d/;

/** Clauses by commas, brackets and stops between words; what stands after the last unit is a clause of its own. */
function clausesOf(folded: string): readonly Clause[] {
  const clauses: Clause[] = [];
  const cut = /[;()[\]]|,(?!\d)|(?<=\p{L})\.(?=\s)|(?<!\d)\.(?!\d)|:| - /gu;
  let at = 0;
  for (const found of folded.matchAll(cut)) {
    clauses.push({ text: folded.slice(at, found.index), at });
    at = found.index + found[0].length;
  }
  clauses.push({ text: folded.slice(at), at });
  return clauses;
}

const isOwnClause = (text: string, found: string, unitWords: (text: string) => string): boolean =>
  unitWords(text.replace(found, ' '))
    .replace(CLAUSE_WORDS, ' ')
    .replace(/[^\p{L}]/gu, '') === '';

interface Said {
  readonly words: string;
  readonly of: 'thread' | 'head' | 'both';
  readonly matched: string;
}

/** Pages say the same few things of their threads: what a clause without a figure says is kept. */
const known = new Map<string, Said | 'unread' | undefined>();
const MAX_KNOWN = 1000;

/** One condition said in a clause, with what it is said of; undefined where it is said of something else. */
function saidIn(clause: string, unitWords: (text: string) => string): Said | 'unread' | undefined {
  if (!MAY_SAY.test(clause)) return undefined;
  if (FIGURE.test(clause)) return saidAfresh(clause, unitWords);
  if (known.has(clause)) return known.get(clause);
  const said = saidAfresh(clause, unitWords);
  if (known.size < MAX_KNOWN) known.set(clause, said);
  return said;
}

function saidAfresh(clause: string, unitWords: (text: string) => string): Said | 'unread' | undefined {
  const found = STATE.exec(clause);
  if (!found?.[1]) return undefined;
  const isDry = found[2] !== undefined;
  const negated =
    NEGATED.test(clause.slice(0, found.index)) ||
    /^\s*(?:not|nicht|pas)\b/u.test(clause.slice(found.index + found[0].length));
  const near = clause.slice(Math.max(0, found.index - 24), found.index + found[0].length + 24);
  const tail = FIGURE.test(clause) ? clause.slice(clause.search(/\d[^\d]*$/u)) : clause;
  const after = FIGURE.test(clause) && found.index > clause.search(/\d[^\d]*$/u);
  const own = isOwnClause(clause, found[0], unitWords) || (after && isOwnClause(tail, found[0], unitWords));
  const ofThread = BESIDE_THREAD.test(near);
  const ofHead = BESIDE_HEAD.test(near);
  if (!own && !ofThread) return 'unread';
  if (negated && isDry) return 'unread';
  const words = negated ? 'dry' : found[1].trim().replace(/^in /, '');
  return { words, of: ofHead && !ofThread ? 'head' : ofThread && !ofHead ? 'thread' : 'both', matched: found[0] };
}

/** Blanks that keep every position where it was. */
const blank = (text: string) => ' '.repeat(text.length);

/** What stands in clauses of their own behind the last figure says the same behind any figure: it is kept. */
const tails = new Map<string, PrintedConditions>();
const MAX_TAILS = 500;
// A wet sump is a part as well, and is taken out wherever anything is said of oil.
const maySay = askingWords([[1, (word) => MAY_SAY.test(word) || word === 'wet']]);
const CUTS = ',;()[]:';

/** Where the first clause of its own begins behind the last figure, if nothing before it may say a thing; else 0. */
function tailAt(folded: string): number {
  let at = folded.length;
  while (at > 0 && !isDigit(folded.charCodeAt(at - 1))) at--;
  while (at < folded.length && !CUTS.includes(folded[at] ?? '')) at++;
  return at < folded.length && maySay(folded.slice(0, at)) === 0 ? at + 1 : 0;
}

/**
 * Takes what is printed of thread and face out of the text. A condition counts beside a word for the thread or the
 * face, or in a clause of its own; a negation turns an oil into dry; names of parts do not count.
 * @param unitWords takes figures and units out of a clause
 */
export function takeConditions(folded: string, unitWords: (text: string) => string): PrintedConditions {
  const at = tailAt(folded);
  if (at === 0) return takenOut(folded, unitWords);
  const tail = folded.slice(at);
  const known = tails.get(tail) ?? takenOut(tail, unitWords);
  if (tails.size < MAX_TAILS) tails.set(tail, known);
  return { rest: folded.slice(0, at) + known.rest, thread: known.thread, head: known.head, unread: known.unread };
}

function takenOut(folded: string, unitWords: (text: string) => string): PrintedConditions {
  if (!MAY_SAY.test(folded)) return { rest: folded, unread: [] };
  let rest = folded.replace(PARTS, blank);
  const said: Said[] = [];
  const unread: string[] = [];
  for (const { text, at } of clausesOf(rest)) {
    for (let clause = text, guard = 0; guard < 4; guard++) {
      const one = saidIn(clause, unitWords);
      if (one === undefined) break;
      if (one === 'unread') {
        const found = STATE.exec(clause)?.[0] ?? '';
        unread.push(found);
        clause = clause.replace(found, blank(found));
        continue;
      }
      said.push(one);
      const start = clause.indexOf(one.matched);
      const gone = `${clause.slice(0, start).replace(NOT_BEFORE, blank)},${blank(one.matched).slice(1)}${clause.slice(start + one.matched.length)}`;
      clause = gone;
      rest = rest.slice(0, at) + gone.slice(0, text.length).padEnd(text.length) + rest.slice(at + text.length);
    }
  }
  const thread = said.find(({ of }) => of !== 'head');
  const head = said.find((one) => one.of === 'head') ?? said.find((one) => one !== thread && one.of !== 'thread');
  const contradicts = said.filter(({ of }) => of !== 'head').some(({ words }) => words !== thread?.words);
  if (contradicts) return { rest, unread: [...unread, ...said.map(({ words }) => words)] };
  return {
    rest,
    unread,
    ...(thread && { thread: thread.words }),
    ...(head && head !== thread && { head: head.words }),
  };
}
