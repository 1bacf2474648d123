import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { KEY_LIST } from '@/interface/shell/keys';
import { keysTable, withKeys } from '../../scripts/keys-table';

describe('the keys, as the program shows them', () => {
  test('stand so in the README', () => {
    const readme = readFileSync('README.md', 'utf8');
    expect(withKeys(readme)).toBe(readme);
    for (const { where, keys } of KEY_LIST) {
      expect(readme).toContain(`| ${where} |`);
      for (const [key, does] of keys) expect(readme).toContain(`| ${key} | ${does} |`);
    }
  });
  test('none stands twice in one place', () => {
    for (const { keys } of KEY_LIST) expect(new Set(keys.map(([key]) => key)).size).toBe(keys.length);
  });
  test('a text without a place for them is refused', () => {
    expect(() => withKeys('no table')).toThrow(/no place/);
    expect(keysTable().split('\n').length).toBe(2 + KEY_LIST.reduce((sum, { keys }) => sum + keys.length, 0));
  });
});
