import { describe, expect, test } from '@jest/globals';
import { identifyThread, threadsForSpanner } from '@/core/thread';

const notes = (measured: Parameters<typeof identifyThread>[0]) =>
  identifyThread(measured).notes.map(({ code }) => code);

describe('threads that a caliper and a pitch gauge cannot tell apart', () => {
  // As the contract names them: diameter and pitch agree, and only the form differs.
  test.each([
    ['M6 and 0 BA', { major_mm: 6, pitch_mm: 1 }],
    ['1/4 BSF and 1/4 CEI', { major_mm: 6.35, tpi: 26 }],
    ['3/8 BSW and 3/8 UNC', { major_mm: 9.52, tpi: 16 }],
  ])('%s ask for a profile gauge', (_, measured) => expect(notes(measured)).toContain('needs-profile-gauge'));
  test.each([
    // 1/2 BSW has twelve threads and 1/2 UNC thirteen.
    ['1/2 BSW', { major_mm: 12.7, tpi: 12 }],
    ['M10 × 1.5', { major_mm: 10, pitch_mm: 1.5 }],
    // Without a pitch nothing is said of the form.
    ['a diameter alone', { major_mm: 6 }],
  ])('%s does not', (_, measured) => expect(notes(measured)).not.toContain('needs-profile-gauge'));
  test('a pitch that was not measured is in no answer, one that was is in every one', () => {
    for (const one of identifyThread({ major_mm: 9.5 }).candidates) expect('pitchError_mm' in one).toBe(false);
    for (const one of identifyThread({ major_mm: 9.5, tpi: 16 }).candidates) expect('pitchError_mm' in one).toBe(true);
  });
});

test('a spanner fits where it is off by as much as is allowed, and by no more', () => {
  const [first] = threadsForSpanner(13);
  if (!first) throw new Error('nothing takes a spanner of 13 mm');
  const names = (flats: number, tolerance?: number) =>
    threadsForSpanner(flats, tolerance).map(({ row }) => row.designation);
  expect(names(13.25, 0.25)).toContain(first.row.designation);
  expect(names(13.3, 0.25)).not.toContain(first.row.designation);
});
