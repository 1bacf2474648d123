import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { figureDiffers, readingOfLeaf } from '@/model/book/leaf-figure';
import { leafOfText, type LeafContent } from '@/model/book/leaf-of-text';
import { computeJoint } from '@/model/joint/joint-result';
import { jointInputs } from '@/db/reads/joint-inputs';
import { buildFileOf } from '@/features/record/build-file';
import { readBack } from '@/features/record/read-back';
import { openShop } from '@/db/shop';
import { codeOf } from '../core/code-of';
import { jointNamed, rowsNamed, temporaryFile, YARD_NOW, yardShop } from '../db/temporary-shop';

const read = (printedText: string, readingIndex = 0, kind: LeafContent = 'torque') => ({
  printedText,
  ...leafOfText({ kind, printedText, conditionText: null, readingIndex }),
});

describe('the reading that was chosen is kept as what it is', () => {
  test('of an ambiguous figure, whichever it was; a list in another order changes nothing', () => {
    for (const [index, unit] of ['lbf·ft', 'lbf·in'].entries()) {
      const leaf = read('30 lb', index);
      expect(leaf.figure).toMatchObject({ unit, printedMin: 30, printedMax: 30 });
      expect(readingOfLeaf(leaf)).toMatchObject({ unit, min_Nm: leaf.min_Nm });
      expect(figureDiffers(leaf)).toBeUndefined();
    }
  });
  test('a leaf older than the column is known by its figure in SI', () => {
    const second = { ...read('30 lb', 1), figure: null };
    expect(readingOfLeaf(second).unit).toBe('lbf·in');
  });
  test('a pull on a lever, a turn, a length', () => {
    expect(readingOfLeaf(read('30 lb pull on a 10 in spanner')).lever).toEqual({ unit: 'in', length: 10 });
    expect(figureDiffers(read('¼ turn'))).toBeUndefined();
    expect(figureDiffers(read('0,03 bis 0,06 mm', 0, 'clearance'))).toBeUndefined();
    expect(figureDiffers(read('from the middle out', 0, 'order'))).toBeUndefined();
    for (const text of ['¼ turn', '0.1 mm'])
      expect(codeOf(() => readingOfLeaf(read(text, 0, text === '¼ turn' ? 'torque' : 'clearance')))).toBe('bad-field');
  });
  test('what is kept goes before what the text gives today, and the difference is said', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 90 }), fc.constantFrom(0.1, 0.5, 2, 10), (figure, slip) => {
        const leaf = read(`${figure} lb ft`);
        const slipped = { ...leaf, min_Nm: (leaf.min_Nm ?? 0) * slip, max_Nm: (leaf.max_Nm ?? 0) * slip };
        expect(readingOfLeaf(slipped).min_Nm).toBe(slipped.min_Nm);
        expect(figureDiffers(slipped)).toMatch(/does not give the figure that is kept for it/);
        expect(figureDiffers({ ...leaf, printedText: 'worn away' })).toBeDefined();
      }),
    );
    const turn = read('¼ turn');
    expect(figureDiffers({ ...turn, max_deg: 900 })).toMatch(/90 to 900°/);
    const play = read('0.1 mm', 0, 'clearance');
    expect(figureDiffers({ ...play, min_mm: 1, max_mm: 1 })).toMatch(/1 to 1 mm/);
  });
});

describe('book and ladder cannot say two things', () => {
  test('a row that was altered behind the program stops the pull, and the ladder says what the book says', () => {
    const shop = yardShop();
    const joint = jointNamed(shop, 'demo-f-joint-head');
    shop.db.exec('DROP TRIGGER leaf_is_not_altered');
    shop.db.prepare('UPDATE leaf SET min_nm = 10 * min_nm, max_nm = 10 * max_nm WHERE id = ?').run(joint.leafId);
    const { ladder, guards } = computeJoint(jointInputs(shop, joint, Date.parse(YARD_NOW)));
    const leaf = shop.book.findLeaf(joint.leafId);
    expect(ladder.printed_Nm).toBeGreaterThanOrEqual(leaf?.min_Nm ?? 0);
    expect(ladder.printed_Nm).toBeLessThanOrEqual(leaf?.max_Nm ?? 0);
    expect(guards.find(({ code }) => code === 'figure-differs')?.severity).toBe('stop');
  });
  test('a build file with a tenfold figure is refused, and nothing of it is written', () => {
    const shop = yardShop();
    const { engine } = rowsNamed(shop, 'demo-fourteen');
    const file = buildFileOf(shop, engine, YARD_NOW);
    const spoilt = {
      ...file,
      leaves: file.leaves.map((leaf) =>
        leaf.id === 'demo-f-head-38'
          ? { ...leaf, min_Nm: (leaf.min_Nm ?? 0) * 10, max_Nm: (leaf.max_Nm ?? 0) * 10 }
          : leaf,
      ),
    };
    const other = openShop(temporaryFile());
    expect(codeOf(() => readBack(other, spoilt, Date.parse(YARD_NOW), () => 'fresh-1'))).toBe('figure-differs');
    expect(other.engines.all()).toEqual([]);
    readBack(other, file, Date.parse(YARD_NOW), () => 'fresh-1');
    expect(other.engines.all()).toHaveLength(1);
  });
});
