import { describe, expect, test } from '@jest/globals';
import { textOfFile } from '@/interface/parts/file-text';

const PRINTED = 'Teil;Moment\nZylinderköpfe;5½ mkg, 60°\n';
const bytesIn = (codes: readonly number[]) => new Blob([Uint8Array.from(codes)]);

/** The same text as a spreadsheet of Windows writes it: ½ is BD, ö F6, ° B0. */
const LATIN = [...PRINTED].map((sign) => sign.charCodeAt(0));
const wide = (isLittle: boolean) =>
  [...`\uFEFF${PRINTED}`].flatMap((sign) => {
    const [high, low] = [sign.charCodeAt(0) >> 8, sign.charCodeAt(0) & 255];
    return isLittle ? [low, high] : [high, low];
  });

describe('a file that a person chose', () => {
  test.each([
    ['UTF-8', new Blob([PRINTED])],
    ['UTF-8 with its mark', new Blob([`\uFEFF${PRINTED}`])],
    ['UTF-16, the low byte first', bytesIn(wide(true))],
    ['UTF-16, the high byte first', bytesIn(wide(false))],
  ])('says what it says in %s', async (_, file) => {
    expect(await textOfFile(file)).toEqual({ text: PRINTED });
  });
  test('that does not tell its alphabet is read by the likeliest, and that is said', async () => {
    expect(await textOfFile(bytesIn(LATIN))).toEqual({
      text: PRINTED,
      guess: expect.stringContaining('Windows-1252') as unknown,
    });
  });
  test('of plain letters alone is the same in all of them, and nothing is guessed', async () => {
    expect(await textOfFile(new Blob(['Sump;8 lb. ft.\n']))).toEqual({ text: 'Sump;8 lb. ft.\n' });
  });
  test.each([
    ['a workbook', bytesIn([0x50, 0x4b, 3, 4, 20, 0]), /workbook/],
    ['an old workbook', bytesIn([0xd0, 0xcf, 0x11, 0xe0, 0xa1]), /workbook/],
    ['a picture', bytesIn([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13]), /no text/],
    ['larger than any table', new Blob([new Uint8Array(10_000_001).fill(97)]), /10 MB/],
  ])('is refused where it is %s', async (_, file, why) => {
    expect(await textOfFile(file)).toEqual({ refusal: expect.stringMatching(why) as unknown });
  });
});
