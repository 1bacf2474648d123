import { describe, expect, test } from '@jest/globals';
import { engineSummaries, type SummarizedEngine } from '@/db/reads/engine-summaries';
import { dueFirst, dueLines } from '@/features/engine/due';
import { hrefOf, screenOf } from '@/features/engine/wait-line';
import type { Wait } from '@/model/engine/engine-wait';
import { UNREADABLE } from '@/model/engine/engine-summary';
import { rowsNamed, YARD_NOW, yardShop } from '../db/temporary-shop';

const HOUR_MS = 3_600_000;
const now = Date.parse(YARD_NOW);
const wait = (more: Partial<Wait>): Wait => ({ waitsFor: 'x', state: 'waiting', to: { at: 'run-in' }, ...more });
const engine = (name: string, waits: readonly [Wait, ...Wait[]], more: Partial<SummarizedEngine> = {}) => ({
  engineId: name.toLowerCase(),
  name,
  preferredUnit: 'N·m' as const,
  stamp: 1,
  createdAt: YARD_NOW,
  summary: { ...UNREADABLE, waits },
  ...more,
});

describe('what is due over all engines', () => {
  const shop = yardShop();
  const yard = engineSummaries(shop, 'now', (id) => rowsNamed(shop, id));

  test('of the yard: each line leads to where it is done', () => {
    const lines = dueLines(yard, [], now);
    expect(lines.map(({ part, of, href }) => [part, of, href])).toEqual(
      expect.arrayContaining([
        ['stopped', 'Norrhem N3', '/engines/demo-norrhem/fits/demo-n-fit-mains'],
        ['now', 'Valdrossa Maestrale 250', '/face/demo-m-joint-head-round-1'],
        ['waits', 'Thorncote-Wicks Fourteen', '/engines/demo-fourteen/run-in'],
      ]),
    );
  });

  test('the overdue first, then what is stopped, then what can be done, then by the hour', () => {
    const engines = [
      engine('A', [
        wait({ waitsFor: 'later', about: now + 2 * HOUR_MS, by: now + 4 * HOUR_MS }),
        wait({ waitsFor: 'sooner', about: now + HOUR_MS, by: now + 3 * HOUR_MS }),
      ]),
      engine('B', [
        wait({ waitsFor: 'go on', state: 'ready', to: { at: 'round', id: 'r' } }),
        wait({ waitsFor: 'out', state: 'stop', to: { at: 'fit', id: 'f' } }),
        wait({ waitsFor: 'head cold', about: now - 3 * HOUR_MS, by: now - HOUR_MS }),
      ]),
    ];
    const wrenches = [
      { wrench: { id: 'w', name: 'Big clicker' }, overdue: true },
      { wrench: { id: 'v', name: 'Little one' }, overdue: false },
    ];
    const lines = dueLines(engines, wrenches, now);
    expect(dueFirst(engines, wrenches, now, 3)).toEqual({ lines: lines.slice(0, 3), total: lines.length });
    expect(lines.map(({ part, of }) => [part, of])).toEqual([
      ['overdue', 'B'],
      ['overdue', 'Big clicker'],
      ['stopped', 'B'],
      ['now', 'B'],
      ['waits', 'A'],
      ['waits', 'A'],
    ]);
    expect(lines[0]?.what).toMatch(/^head cold since about .*: read it/);
    expect(lines.slice(4).map(({ what }) => what)).toEqual([
      expect.stringMatching(/^sooner: from .*, by /),
      expect.stringMatching(/^later: from .*, by /),
    ]);
  });

  test('what rests is not due, and neither is an engine that lies aside', () => {
    const rests = engine('A', [wait({ state: 'rest', to: { at: 'joints' } })]);
    const aside = engine('B', [wait({ state: 'stop' })], { aside: { at: YARD_NOW, reason: 'sold' } });
    expect(dueLines([rests, aside], [], now)).toEqual([]);
  });

  test('what waits for miles, or for the first start, is told at the end; what falls due on a day has no hour', () => {
    const day = 86_400_000;
    const lines = dueLines(
      [
        engine('A', [
          wait({ waitsFor: 'Head: again at 300 miles, 212 so far', state: 'rest' }),
          wait({ waitsFor: 'Head: again', about: now + 3 * day, by: now + 4 * day }),
        ]),
      ],
      [],
      now,
    );
    expect(lines.map(({ part, what }) => [part, what])).toEqual([
      ['waits', expect.stringMatching(/^Head: again, from \d+ \w+ \d{4}$/)],
      ['later', 'Head: again at 300 miles, 212 so far'],
    ]);
  });

  test('the tag leads to the screen of what it names, a round under way to the bench', () => {
    expect(screenOf('e', { at: 'round', id: 'r' })).toBe('/engines/e/tighten');
    expect(hrefOf('e', { at: 'round', id: 'r' })).toBe('/face/r');
    expect(hrefOf('e', { at: 'joint', id: 'j' })).toBe('/engines/e/joints/j');
  });
});
