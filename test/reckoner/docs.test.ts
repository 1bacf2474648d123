import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { OPS } from '@/reckoner/ops';
import { reckon } from '@/reckoner/reckon';

const page = readFileSync(join('docs', 'reckoner.md'), 'utf8');
const examples = [...page.matchAll(/^## (.+)\n[\s\S]*?```json\n(.+)\n(.+)\n```/gm)].map(
  ([, op = '', request = '', answer = '']) => [op, request, answer] as const,
);

/** Six digits, as the page has them. */
const rounded = (value: unknown): unknown => {
  if (typeof value === 'number') return Number(value.toPrecision(6));
  if (Array.isArray(value)) return value.map(rounded);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, rounded(inner)]));
};

describe('the page of the reckoner', () => {
  test('has every op there is, and no other', () =>
    expect(examples.map(([op]) => op).sort()).toEqual([...OPS.keys()].sort()));
  test.each(examples)('%s: its example answers as it says', (op, request, answer) => {
    const asked = JSON.parse(request) as { readonly op: string };
    expect(asked.op).toBe(op);
    const found = reckon(asked);
    const shown = found.ok
      ? { ok: true, result: rounded(found.result), notes: found.notes.map(({ code }) => code) }
      : { ok: false };
    expect(shown).toEqual(JSON.parse(answer));
  });
});
