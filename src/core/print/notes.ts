import { DomainError, type Note } from '@/core/units';
import type { Limit } from './phrases';

const MESSAGES = {
  'quotient-notation': 'The page prints a quotient where the product is meant; it is read as the product.',
  'bare-force-unit': 'A force alone is not a torque: choose which arm the page means.',
  'thousands-or-decimal': 'The comma may stand for a decimal point or for a thousand: choose.',
  'fraction-or-range': 'The figure may be a fraction or a range: choose.',
  'decimal-comma': 'The comma is read as a decimal point.',
  fraction: 'A printed fraction was read.',
  'range-reversed': 'The page prints the higher figure first; the range is put the right way round. Check the page.',
  'suspect-magnitude':
    'The high end is more than three times the low one: a decimal point may have slipped. Check the page.',
  'upper-limit': 'The page gives an upper limit, not a figure to aim at.',
  'lower-limit': 'The page gives a lower limit, not a figure to aim at.',
  approximate: 'The page gives the figure as approximate.',
  'lever-pull': 'A pull at the end of a lever: force times length.',
  'unread-words': 'These words were not understood: {}. Do they change the figure?',
  'head-condition':
    'The page says something of the face or washer alone: {}. The lubricant is reckoned alike for thread and face.',
  'taken-for-stages': 'Several figures in a row are taken for stages: the last is what the fastener is left at.',
  'perhaps-misread': 'A letter stands where a figure must, or the other way about: {}. Check the page.',
  'beyond-usual': 'No engine of the period has so much on one nut: check figure and unit on the page.',
  'replaced-figure': 'The line puts a figure out of force, {}, and the other one is taken. Check the page.',
  'some-engines': 'The line speaks of some engines alone: {}. This engine has to be one of them.',
  'some-fasteners': 'The line speaks of some of the fasteners: {}. The figure is for those.',
  'at-temperature': 'The line gives a temperature: {}. The figure holds there.',
  'printed-units-agree': 'The two printed units agree.',
  'printed-units-disagree': 'The two printed units disagree: one of them is a misprint. Check another source.',
} as const;

export type PrintNoteCode = keyof typeof MESSAGES;

export const printNote = (code: PrintNoteCode, repeated?: string): Note => ({
  code,
  message: repeated === undefined ? MESSAGES[code] : MESSAGES[code].replace('{}', repeated),
});

/** The refusal of a text that cannot be read safely. */
export const unreadable = (message: string) => new DomainError('unreadable', message, 'text');

const SUSPECT_RATIO = 3;

/** What is noted of any figure: of its two ends, the high one `ratio` times the low one, and of the limits said with it. */
export const closingNotes = (
  limits: ReadonlySet<Limit>,
  reversed: boolean,
  ratio: number,
): readonly PrintNoteCode[] => {
  const codes: PrintNoteCode[] = [];
  if (reversed) codes.push('range-reversed');
  // A hair of rounding is no slip: 988.2 is three times 329.4 on the page, whatever the product of the two comes to.
  if (ratio > SUSPECT_RATIO * (1 + 1e-9)) codes.push('suspect-magnitude');
  for (const limit of limits) codes.push(limit);
  return codes;
};
