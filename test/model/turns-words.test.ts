import { describe, expect, test } from '@jest/globals';
import { flatsWords, turnWords, turnsWords } from '@/model/joint/turns-words';

const turn = (min_deg: number, max_deg = min_deg) => ({ min_deg, max_deg });

describe('a turn in words', () => {
  test.each([
    [turn(60), '1 flat of a hexagon'],
    [turn(90), '1½ flats of a hexagon'],
    [turn(120), '2 flats of a hexagon'],
    [turn(45), '¾ of a flat of a hexagon'],
    [turn(15), '¼ of a flat of a hexagon'],
    [turn(180), '3 flats of a hexagon'],
    [turn(50), undefined],
    [turn(85, 95), undefined],
  ])('%j: %s', (one, words) => expect(flatsWords(one)).toBe(words));
  test('a range is told whole, turns follow one another', () => {
    expect(turnWords(turn(85, 95))).toBe('85 to 95°');
    expect(turnsWords([turn(90), turn(45)])).toBe('90°, then 45°');
  });
});
