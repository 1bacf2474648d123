import { describe, expect, test } from '@jest/globals';
import { asideCsv, bookCsv, readTable } from '@/features/book/csv-table';
import { bookOf } from '@/features/book/queries';
import { codeOf } from '../core/code-of';
import { rowsNamed, yardShop } from '../db/temporary-shop';

const TABLE = `\uFEFFJoint;Page;Torque;Unit;Threads
Head nuts;41;"5,5";mkg;oiled
Mains;42;58;lb ft;
Bare;43;30;lb;
Slip;44;40-36;lb ft;
Nothing;45;;;
;46;12;Nm;
Quarter;47;¼ turn;;
`;

describe('a table of figures', () => {
  const { rows, uses } = readTable(TABLE);
  test('columns are matched by their headings', () =>
    expect(uses).toEqual(['subject', 'page', 'figure', 'unit', 'threads']));
  test('each row is read as it would be entered', () => {
    expect(rows[0]).toMatchObject({ line: 2, subject: 'Head nuts', printedText: '5,5 mkg', conditionText: 'oiled' });
    expect(rows[0]?.min_Nm).toBeCloseTo(53.936575, 6);
    expect(rows.find((row) => row.subject === 'Quarter')).toMatchObject({ deg: 90 });
  });
  test('bad rows are kept aside, each with its reason', () => {
    const reasons = Object.fromEntries(rows.filter((row) => row.reason).map((row) => [row.line, row.reason]));
    expect(Object.keys(reasons)).toEqual(['4', '5', '6', '7']);
    expect(reasons[4]).toMatch(/more than one way/);
    expect(reasons[5]).toMatch(/To be agreed/);
    expect(reasons[6]).toMatch(/no figure/);
    expect(reasons[7]).toMatch(/not what it is for/);
    expect(asideCsv(rows).split('\n')).toHaveLength(6);
  });
  test('another matching reads other columns', () => {
    const again = readTable(TABLE, ['left out', 'page', 'subject', 'unit', 'threads']);
    expect(again.rows[1]).toMatchObject({
      subject: '58',
      reason: expect.stringMatching(/no figure|No figure/) as unknown,
    });
  });
  test('what stands between the columns is told by the headings alone, however the lines end', () => {
    for (const end of ['\n', '\r\n'])
      for (const sign of [';', '\t', ',']) {
        const others = [';', '\t', ',']
          .filter((other) => other !== sign)
          .join(' ')
          .repeat(9);
        const cells = [
          ['Joint', 'Page', 'Torque', 'Unit'],
          [`"a ${others}"`, '41', '"5,5"', 'mkg'],
        ];
        const [row] = readTable(cells.map((line) => line.join(sign)).join(end) + end).rows;
        expect(row).toMatchObject({ page: '41', printedText: '5,5 mkg' });
      }
  });
  test('what is no table is refused', () => {
    for (const text of ['', 'one line only', 'a,b\n"open']) expect(codeOf(() => readTable(text))).toBe('bad-csv');
  });
  test('a formula in a cell goes out harmless', () => {
    expect(
      asideCsv([{ line: 2, subject: '=1+1', page: '1', printedText: 'x', conditionText: '', reason: 'y' }]),
    ).toContain("'=1+1");
  });
});

test('the book goes out and comes in again', () => {
  const shop = yardShop();
  const out = bookCsv(bookOf(shop, rowsNamed(shop, 'demo-fourteen')));
  const { rows } = readTable(out, [
    'left out',
    'left out',
    'left out',
    'subject',
    'page',
    'figure',
    'threads',
    'left out',
    'left out',
    'left out',
    'left out',
  ]);
  const leaves = bookOf(shop, rowsNamed(shop, 'demo-fourteen')).flatMap((source) => source.leaves);
  expect(rows.map((row) => [row.subject, row.printedText, row.min_Nm ?? null])).toEqual(
    leaves.map((leaf) => [leaf.subject, leaf.printedText, leaf.min_Nm]),
  );
});
