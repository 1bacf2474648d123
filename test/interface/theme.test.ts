import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { themeVariables } from '../../scripts/theme-variables';

const VARIABLES = 'src/interface/theme/mantine-variables.css';
const sheet = readFileSync(VARIABLES, 'utf8');

const files = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.(css|tsx?)$/.test(name))
  .map((name) => readFileSync(join('src', name), 'utf8'));
const own = files.join('\n');
const parts = [...new Set([...own.matchAll(/import '(@mantine\/[^']*\.css)'/g)].map(([, name]) => name ?? ''))];

describe('the variables of the parts', () => {
  test('are the ones that the look makes', () => {
    expect(sheet).toBe(themeVariables());
  });
  test('each that a sheet in use asks for is there, or has something else said for it', () => {
    const made = new Set([...sheet.matchAll(/(--mantine-[\w-]+):/g)].map(([, name]) => name));
    const asked = [own, ...parts.map((name) => readFileSync(join('node_modules', name), 'utf8'))].flatMap((text) =>
      [...text.matchAll(/var\((--mantine-(?:color|primary|font|radius|spacing|shadow|z)[\w-]*)\)/g)].map(
        ([, name]) => name ?? '',
      ),
    );
    expect(parts.length).toBeGreaterThan(10);
    expect(asked.length).toBeGreaterThan(100);
    // No field here shows that it succeeded: its colour would bring a palette with it.
    expect([...new Set(asked)].filter((name) => !made.has(name))).toEqual(['--mantine-color-success']);
  });
});
