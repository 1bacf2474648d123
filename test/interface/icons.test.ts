import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';

const PACKAGE = 'node_modules/@tabler/icons-react';
const own = readFileSync('src/interface/icons/icons.ts', 'utf8');
const SIGNS = [...own.matchAll(/Icon(\w+) = sign\(\[([^\]]*)\]/g)].map(([, name, lines]) => [
  name ?? '',
  [...(lines ?? '').matchAll(/'([^']*)'/g)].map(([, d]) => d),
]) as readonly (readonly [name: string, lines: readonly string[]])[];

describe('the signs cut out of their package', () => {
  test.each(SIGNS)('%s is drawn as it is there', (name, lines) => {
    const theirs = readFileSync(`${PACKAGE}/dist/esm/icons/Icon${name}.mjs`, 'utf8');
    expect([...theirs.matchAll(/"d": "([^"]*)"/g)].map(([, d]) => d)).toEqual(lines);
    expect(lines.length).toBeGreaterThan(0);
  });
  test('all of them are compared, and their licence is with them', () => {
    expect(SIGNS).toHaveLength(own.split('export const').length - 1);
    expect(readFileSync('src/interface/icons/icons-MIT.txt', 'utf8')).toBe(readFileSync(`${PACKAGE}/LICENSE`, 'utf8'));
  });
});
