import { DomainError } from './domain-error';

/** What an input is called in the shop, where the last part of its name does not say it. */
const WORDS: ReadonlyMap<string, string> = new Map([
  ['C', 'temperature'],
  ['D', 'stiffness of the plate'],
  ['E', 'modulus'],
  ['a', 'angle'],
  ['area', 'area of a segment'],
  ['arc', 'length of arc'],
  ['b', 'angle'],
  ['cone', 'cone’s angle'],
  ['df', 'number of degrees of freedom'],
  ['deg', 'angle'],
  ['floor', 'least clearance of the rule'],
  ['goes', 'gauge that goes'],
  ['head', 'head’s expansion'],
  ['inner', 'hole that it turns on'],
  ['major', 'size over the crests'],
  ['flats', 'size across the flats'],
  ['max', 'highest'],
  ['min', 'lowest'],
  ['minutes', 'time'],
  ['muHead', 'friction under the head'],
  ['muThread', 'friction in the thread'],
  ['outer', 'face’s outside'],
  ['p', 'share'],
  ['perBore', 'share of the bore'],
  ['perDiameter', 'share of the diameter'],
  ['poisson', 'Poisson’s ratio'],
  ['set', 'figure set'],
  ['stops', 'gauge that stops'],
  ['stud', 'stud’s expansion'],
  ['tau', 'time constant'],
  ['tpi', 'number of threads per inch'],
  ['true', 'figure delivered'],
]);

/**
 * The name of an input in words: `bearing.outer_mm` is the face’s outside, `steps_mm[0]` the steps’ number 1,
 * `segments[2].length_mm` the length of number 3. A message is read by a person, on a screen or in an answer; what names
 * the input for a program is the error’s `field`.
 */
function inputInWords(path: string): string {
  const name = path.slice(path.lastIndexOf('.') + 1);
  const [bare = ''] = name.split(/[_[]/);
  const words = WORDS.get(bare) ?? bare.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  const places = Array.from(path.matchAll(/\[(\d+)\]/g), ([, place]) => Number(place) + 1);
  if (places.length === 0) return words;
  return name.endsWith(']') ? `${words}, number ${places.join(', ')},` : `${words} of number ${places.join(', ')}`;
}

/** A refusal of one input, by its path; `says` goes on from its name: `must be above 0, got -3.` */
export const wrongInput = (path: string, says: string): DomainError =>
  new DomainError('bad-field', `The ${inputInWords(path)} ${says}`, path);
