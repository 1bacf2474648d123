import { createHash } from 'node:crypto';
import { expect, test } from '@jest/globals';
import { readLength, readTorque, readTorqueLine } from '@/core/print';
import digests from '../../fixtures/readings.json';
import { knownTexts, madeTexts, said } from './made-texts';

/**
 * What is read of a text is kept with every joint that rests on it: a reading that changes has to be meant. Where it
 * is, what this test shows is put into the list.
 */
test('every text that is known, and ten thousand made ones, are read as they were', () => {
  const texts = [...knownTexts(), ...madeTexts(10_000)];
  const now: string[] = [];
  for (let from = 0; from < texts.length; from += 200) {
    const hash = createHash('sha256');
    for (const text of texts.slice(from, from + 200))
      for (const read of [readTorque, readTorqueLine, readLength]) hash.update(`${text}\n${said(read, text)}\n`);
    now.push(hash.digest('base64url').slice(0, 10));
  }
  expect(now).toEqual(digests);
});
