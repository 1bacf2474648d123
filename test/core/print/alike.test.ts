import { expect, test } from '@jest/globals';
import { readTorque } from '@/core/print';
import { scanAlike } from '@/core/print/alike';
import { readAfresh } from '@/core/print/read-torque';
import { chance, knownTexts, madeTexts, said } from './made-texts';

const next = chance(20261130);
const digit = () => String(Math.floor(next() * 10));
/** The same text with other digits, now and then all of them nought or one. */
function otherFigures(text: string): string {
  const all = next() < 0.2 ? () => (next() < 0.5 ? '0' : '1') : digit;
  return text.replace(/\d/g, all);
}

test('a text that is like one seen before is read as if none had been, whatever its figures are', () => {
  const shapes = [...new Set([...knownTexts(), ...madeTexts(1500)])].filter((text) => text.length <= 400);
  let byShape = 0;
  const otherwise: string[] = [];
  for (const shape of shapes) {
    for (const seen of [shape, otherFigures(shape)]) said(readTorque, seen);
    for (const text of [shape, ...Array.from({ length: 4 }, () => otherFigures(shape))]) {
      if (scanAlike(text)) byShape++;
      if (said(readTorque, text) !== said(readAfresh, text)) otherwise.push(text);
    }
  }
  expect(otherwise).toEqual([]);
  // Most of what was made is near what no page prints; of what pages do print most has a shape.
  expect(byShape).toBeGreaterThan(1000);
});

const known = (text: string) => {
  for (let times = 0; times < 3; times++) said(readTorque, text);
  return scanAlike(text) !== undefined;
};

test.each([
  '38 lb ft',
  '36.5 lb. ft.',
  '5½ mkg, threads oiled',
  '36-40 lb. ft. (5.0-5.5 mkg), oiled',
  '20 to 25 Nm, dry',
  'not more than 42 lb ft',
  '20 lb ft, then 35 lb ft, then 90°',
  '6⅓ mkg',
  '7⅔ mkg',
])('“%s” is read by its shape from the third time on', (text) => {
  expect(known(text)).toBe(true);
});

test.each([
  ['a fraction or a range', '7/8 mkg'],
  ['thousands or a decimal', '1.200 cmkg'],
  ['thousands by a comma', '1,200 lb in'],
  ['thousands by a space', '1 200 cmkg'],
  ['a tolerance', '38 ± 2 lb ft'],
  ['a share', '38 lb ft 5 %'],
  ['a number of a stage', '1st 20 lb ft'],
  ['a letter that may be a figure', '38 1b ft'],
  ['a thread', 'M8 25 Nm'],
  ['what is grown on to a figure', '38lb ft'],
  ['a fraction after a decimal that may be whole', '5.0½ mkg'],
  ['a whole number and a fraction in words', '3 and 0½ mkg'],
  ['how many fasteners there are', '(10 off) 38 lb ft'],
  ['a figure in words', 'thirty to 38 lb ft'],
  ['a range whose low end may be the whole of a fraction', '5.0 - ½ mkg'],
])('%s goes by what its figures are, and is read in full every time: “%s”', (_, text) => {
  expect(known(text)).toBe(false);
});

test('a shape is learnt at the second sight of it, so that a text that is read once costs nothing more', () => {
  const text = '123 lb ft for a thing that was never seen';
  expect(scanAlike(text)).toBeUndefined();
  expect(scanAlike(text.replace('123', '456'))?.groups[0]?.numbers[0]?.value).toBe(456);
});

test('a thousand shapes that were seen once do not keep another from being learnt', () => {
  const word = (n: number) => Array.from({ length: 4 }, (_, i) => 'abcdefgh'[(n >> (3 * i)) & 7]).join('');
  for (let n = 0; n < 1500; n++) scanAlike(`12 lb ft ${word(n)}`);
  expect(known('34 lb ft of the last of them')).toBe(true);
});
