import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';

interface Rules {
  readonly rules: Readonly<Record<string, unknown>>;
  readonly overrides: readonly { readonly rules: Readonly<Record<string, unknown>> }[];
}
const RULES = JSON.parse(readFileSync('.oxlintrc.json', 'utf8')) as Rules;

/** What each rule is there to find, and what it must leave alone where that is not plain. */
const BAD: Readonly<Record<string, string>> = {
  'await-thenable': 'export const f = async () => await 4;',
  'no-array-delete': 'export const f = (list: number[]) => { delete list[0]; };',
  'no-base-to-string': 'export const f = (thing: { a: number }) => String(thing);',
  'no-duplicate-type-constituents': 'export type Twice = string | number | string;',
  'no-floating-promises': 'const later = async () => Promise.resolve(1);\nexport const f = () => { later(); };',
  'no-for-in-array': 'export const f = (list: number[]) => { for (const i in list) console.log(i); };',
  'no-implied-eval': "export const f = () => setTimeout('go()', 5);",
  'no-misused-promises':
    'declare function take(work: () => void): void;\nexport const f = () => take(async () => { await Promise.resolve(); });',
  'no-redundant-type-constituents': 'export type Loose = unknown | string;',
  'no-unnecessary-type-assertion': 'export const f = (value: number) => value as number;',
  'no-unsafe-argument': 'declare const any: any;\nexport const f = () => Math.abs(any);',
  'no-unsafe-assignment':
    'declare const any: any;\nexport const f = () => { const kept = any; return 1 + Number(kept !== 1); };',
  'no-unsafe-call': 'declare const any: any;\nexport const f = () => { any(); };',
  'no-unsafe-enum-comparison': 'enum Side { Left }\nexport const f = (side: Side) => side === 0;',
  'no-unsafe-member-access': 'declare const any: any;\nexport const f = () => { void any.more; };',
  'no-unsafe-return': 'declare const any: any;\nexport const f = () => any;',
  'no-unsafe-unary-minus': "declare const word: 'a';\nexport const f = () => -word;",
  'only-throw-error': "export const f = () => { throw 'no error'; };",
  'prefer-promise-reject-errors': "export const f = () => Promise.reject('no error');",
  'require-await': 'export const f = async () => 4;',
  'restrict-plus-operands': "export const f = (thing: { a: number }) => thing + ' is it';",
  'restrict-template-expressions': 'export const f = (thing: { a: number }) => `it is ${thing}`;',
  'unbound-method':
    'class One { act() { return this; } }\nexport const f = (one: One) => { const { act } = one; return act; };',
};

interface Found {
  readonly diagnostics: readonly { readonly code: string; readonly filename: string }[];
}

/** A folder of its own with those files in it. */
function folderOf(files: Readonly<Record<string, string>>): string {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-rules-'));
  mkdirSync(join(folder, 'test'));
  writeFileSync(join(folder, '.oxlintrc.json'), JSON.stringify({ ...RULES, $schema: undefined }));
  writeFileSync(
    join(folder, 'tsconfig.json'),
    JSON.stringify({
      compilerOptions: {
        strict: true,
        target: 'es2022',
        module: 'esnext',
        moduleResolution: 'bundler',
        types: [],
        jsx: 'react-jsx',
        lib: ['es2022', 'dom'],
      },
      include: ['**/*.ts', '**/*.tsx'],
    }),
  );
  for (const [name, text] of Object.entries(files)) writeFileSync(join(folder, name), `${text}\n`);
  return folder;
}

/** What is found among those files, as `file: code`. */
function foundIn(files: Readonly<Record<string, string>>): ReadonlySet<string> {
  const { stdout, status } = spawnSync(join(process.cwd(), 'node_modules/.bin/oxlint'), ['-f', 'json'], {
    cwd: folderOf(files),
    encoding: 'utf8',
    // Its half that knows types is looked for there.
    env: { ...process.env, PATH: `${join(process.cwd(), 'node_modules/.bin')}:${process.env.PATH}` },
  });
  const { diagnostics } = JSON.parse(stdout) as Found;
  expect(status).toBe(diagnostics.length > 0 ? 1 : 0);
  return new Set(diagnostics.map(({ code, filename }) => `${filename}: ${/\(([\w-]+)\)/.exec(code)?.[1]}`));
}

test('every rule that needs types finds what it is there for', () => {
  expect(
    Object.keys(BAD)
      .map((rule) => `typescript/${rule}`)
      .sort(),
  ).toEqual(Object.keys(RULES.rules).sort());
  const found = foundIn(Object.fromEntries(Object.entries(BAD).map(([rule, text]) => [`${rule}.ts`, text])));
  for (const rule of Object.keys(BAD)) expect(found).toContain(`${rule}.ts: ${rule}`);
});

test('the compiler finds what is of another type, and what is not there', () => {
  const folder = folderOf({
    'kind.ts': "export const wrong: number = 'a';",
    'none.ts': 'export const wrong = nowhere;',
  });
  const { stdout, status } = spawnSync(
    process.execPath,
    [join(process.cwd(), 'node_modules/typescript-native/bin/tsc'), '--noEmit', '-p', folder],
    { encoding: 'utf8' },
  );
  expect(
    [...stdout.matchAll(/(\w+\.ts)\(.*?error (TS\d+)/g)].map(([, file, code]) => `${file} ${code}`).sort(),
  ).toEqual(['kind.ts TS2322', 'none.ts TS2304']);
  expect(status).not.toBe(0);
});

test('what is well is left alone, and tests may take what they know nothing of', () => {
  const off = RULES.overrides.flatMap(({ rules }) => Object.keys(rules));
  expect(off).toEqual(
    ['no-unsafe-assignment', 'no-unsafe-member-access', 'no-unsafe-argument'].map((rule) => `typescript/${rule}`),
  );
  const found = foundIn({
    'test/taken.test.ts': Object.values(BAD)
      .filter((_, i) => off.includes(`typescript/${Object.keys(BAD)[i]}`))
      .map(
        (text) =>
          `{ ${text.replaceAll('declare const any: any;', 'const any = JSON.parse("1");').replaceAll('export ', '')} f(); }`,
      )
      .join('\n'),
    'good.ts': 'export const f = (a: number, b: string) => `${a} and ${b}`;',
    // What is pressed may take its time.
    'jsx.d.ts': `declare module 'react/jsx-runtime' {
      export namespace JSX { interface Element { made: true } interface IntrinsicElements { button: { onPress: () => void } } }
    }`,
    'press.tsx': 'export const press = <button onPress={async () => { await Promise.resolve(); }} />;',
  });
  expect([...found]).toEqual([]);
});
