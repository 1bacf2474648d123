import { describe, expect, test } from '@jest/globals';
import { threadsOfSize } from '@/core/thread';
import { assertThreadTold, likelyThreads } from '@/model/joint/likely-threads';

describe('a size without its kind', () => {
  test('is a thread of every inch series that has it, and of nothing where the kind is told', () => {
    expect(
      threadsOfSize('7/16')
        .map(({ series }) => series)
        .sort(),
    ).toEqual(['BSF', 'BSW', 'CEI', 'UNC', 'UNF']);
    expect(threadsOfSize('⅜')).not.toEqual([]);
    for (const told of ['7/16 BSF', 'M8', '3/8-24 UNF', '2 BA', 'banana', '', '0', '9'])
      expect(threadsOfSize(told)).toEqual([]);
  });
  test('what is on the engine already comes first, then by its age; nothing is left out', () => {
    const of = (year: number | null, ...others: string[]) => likelyThreads('7/16', { year, others });
    expect(of(1951, '3/8 BSF', '5/16 BSF', '1/4 UNF')[0]).toBe('7/16 BSF');
    expect(of(1934).slice(-2).join()).toMatch(/UN[CF],.*UN[CF]/);
    expect(of(null, '3/8 UNF', 'no thread')[0]).toMatch(/UNF/);
    for (const year of [null, 1934, 1951]) expect(of(year)).toHaveLength(5);
  });
  test('is asked for, with the finder named; a thread by its name is not', () => {
    expect(() => assertThreadTold('7/16', { year: 1934, others: ['3/8 BSF'] })).toThrow(
      /is a size, not yet a thread: on this engine likeliest 7\/16 BSF, else .*finder under Threads/,
    );
    expect(() => assertThreadTold('7/16 BSF', { year: 1934, others: [] })).not.toThrow();
  });
});
