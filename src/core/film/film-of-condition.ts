/** Which film the printed words on the thread stand for; each pattern covers the languages print comes in. */
const FILMS: readonly (readonly [RegExp, string])[] = [
  [/moly/, 'moly-paste'],
  [/tallow/, 'tallow-graphite'],
  [/anti-?seize|copper|graphit/, 'anti-seize'],
  [/lock/, 'thread-locker'],
  [/wax/, 'wax-ptfe'],
  [/unlubricated|un-?oiled|\bdry|trocken|\bsec|sèche|asciutt|\btorr|droog|droge|\bsuch|\btør/, 'dry-bare'],
  [
    /oil|lubri|greas|öl|fett|huil|graiss|oliat|olio|\bgrasso|ingrass|aceit|engras|olj|smord|geolied|ingevet|olie|olej|namaz|smurt|smør/,
    'engine-oil',
  ],
];

/**
 * The film that printed words (`oiled`, `threads dry`, `geölt`) stand for, by its id on the shelf; undefined where
 * they say nothing.
 * Greased threads are read as oiled: period grease on a thread behaves like oil.
 */
export const filmOfCondition = (words: string): string | undefined =>
  FILMS.find(([pattern]) => pattern.test(words.toLowerCase()))?.[1];
