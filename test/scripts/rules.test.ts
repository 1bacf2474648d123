import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { expect, test } from '@jest/globals';

interface Rules {
  readonly rules: Readonly<Record<string, unknown>>;
  readonly overrides: readonly {
    readonly files: readonly string[];
    readonly rules: Readonly<Record<string, unknown>>;
  }[];
}
const RULES = JSON.parse(readFileSync('.oxlintrc.json', 'utf8')) as Rules;

/** What each rule is there to find; those of a component stand in a file of components. */
const BAD: Readonly<Record<string, string>> = {
  'max-lines-per-function': `export const f = () => {\n${'  console.log(1);\n'.repeat(131)}};`,
  'no-unused-expressions': 'export const f = (a: number) => { a; };',
  'no-unused-vars': 'const kept = 4;',
  'no-var': 'var kept = 4;\nexport const f = () => kept;',
  'prefer-const': 'export const f = () => { let kept = 4; return kept; };',
  'prefer-rest-params': 'export function f() { return arguments[0]; }',
  'prefer-spread': 'export const f = (list: number[]) => Math.max.apply(Math, list);',
  'typescript/await-thenable': 'export const f = async () => await 4;',
  'typescript/no-array-delete': 'export const f = (list: number[]) => { delete list[0]; };',
  'typescript/no-base-to-string': 'export const f = (thing: { a: number }) => String(thing);',
  'typescript/no-duplicate-type-constituents': 'export type Twice = string | number | string;',
  'typescript/no-floating-promises':
    'const later = async () => Promise.resolve(1);\nexport const f = () => { later(); };',
  'typescript/no-for-in-array': 'export const f = (list: number[]) => { for (const i in list) console.log(i); };',
  'typescript/no-implied-eval': "export const f = () => setTimeout('go()', 5);",
  'typescript/no-misused-promises': `declare function take(work: () =>
    void): void;
export const f = () => take(async () => { await Promise.resolve(); });`,
  'typescript/no-redundant-type-constituents': 'export type Loose = unknown | string;',
  'typescript/no-unnecessary-type-assertion': 'export const f = (value: number) => value as number;',
  'typescript/no-unsafe-argument': 'declare const any: any;\nexport const f = () => Math.abs(any);',
  'typescript/no-unsafe-assignment':
    'declare const any: any;\nexport const f = () => { const kept = any; return 1 + Number(kept !== 1); };',
  'typescript/no-unsafe-call': 'declare const any: any;\nexport const f = () => { any(); };',
  'typescript/no-unsafe-enum-comparison': 'enum Side { Left }\nexport const f = (side: Side) => side === 0;',
  'typescript/no-unsafe-member-access': 'declare const any: any;\nexport const f = () => { void any.more; };',
  'typescript/no-unsafe-return': 'declare const any: any;\nexport const f = () => any;',
  'typescript/no-unsafe-unary-minus': "declare const word: 'a';\nexport const f = () => -word;",
  'typescript/only-throw-error': "export const f = () => { throw 'no error'; };",
  'typescript/prefer-promise-reject-errors': "export const f = () => Promise.reject('no error');",
  'typescript/require-await': 'export const f = async () => 4;',
  'typescript/restrict-plus-operands': "export const f = (thing: { a: number }) => thing + ' is it';",
  'typescript/restrict-template-expressions': 'export const f = (thing: { a: number }) => `it is ${thing}`;',
  'typescript/unbound-method':
    'class One { act() { return this; } }\nexport const f = (one: One) => { const { act } = one; return act; };',
  'typescript/ban-ts-comment': '// @ts-ignore\nexport const f = 4;',
  'typescript/consistent-type-imports': "import { Kind } from './kind';\nexport const f = (kind: Kind) => kind;",
  'typescript/no-array-constructor': 'export const f = () => new Array(0, 1);',
  'typescript/no-duplicate-enum-values': 'export enum Side { Left = 1, Right = 1 }',
  'typescript/no-empty-object-type': 'export interface Nothing {}',
  'typescript/no-explicit-any': 'export const f = (value: any) => void value;',
  'typescript/no-extra-non-null-assertion': 'export const f = (value?: { a: number }) => value!!.a;',
  'typescript/no-misused-new': 'export interface One { new (): One; }',
  'typescript/no-namespace': 'export namespace N { export const a = 1; }',
  'typescript/no-non-null-asserted-optional-chain': 'export const f = (value?: { a?: number }) => value?.a!;',
  'typescript/no-require-imports': "export const f = require('a');",
  'typescript/no-this-alias': 'export function f(this: { a: 1 }) { const self = this; return () => self; }',
  'typescript/no-unnecessary-type-constraint': 'export const f = <T extends unknown>(value: T) => value;',
  'typescript/no-unsafe-declaration-merging': 'export interface One { a: 1 }\nexport class One {}',
  'typescript/no-unsafe-function-type': 'export const f = (work: Function) => work;',
  'typescript/no-wrapper-object-types': 'export const f = (word: String) => word;',
  'typescript/prefer-as-const': "export const f = 'a' as 'a';",
  'typescript/prefer-namespace-keyword': 'declare module N { const a: 1; }',
  'typescript/triple-slash-reference': "/// <reference path='./kind' />\nexport const f = 4;",
  'react/error-boundaries': 'export function A() { try { return <B />; } catch { return null; } }',
  'react/exhaustive-deps':
    'export function A({ a }: { a: number }) { useEffect(() => { tell(a); }, []); return <B />; }',
  'react/globals':
    'let seen = 0;\nexport function A({ a }: { a: number }) { seen = a; return <B />; }\nexport const s = () => seen;',
  'react/immutability': 'export function A() { const [a] = useState({ b: 1 }); a.b = 2; return <p>{a.b}</p>; }',
  'react/incompatible-library':
    "import { useReactTable } from '@tanstack/react-table';\nexport function A() { const table = useReactTable({}); return <p>{table.rows}</p>; }",
  'react/jsx-key': 'export const A = ({ list }: { list: number[] }) => <p>{list.map((a) => <i>{a}</i>)}</p>;',
  'react/jsx-no-comment-textnodes': 'export const A = () => <p>// said</p>;',
  'react/jsx-no-duplicate-props': 'export const A = () => <p id="a" id="b" />;',
  'react/jsx-no-undef': 'export const A = () => <Nowhere />;',
  'react/no-children-prop': 'export const A = () => <p children="a" />;',
  'react/no-danger-with-children': "export const A = () => <p dangerouslySetInnerHTML={{ __html: '' }}>a</p>;",
  'react/no-direct-mutation-state':
    'export class A extends Component { act() { this.state.a = 1; } render() { return <B />; } }',
  'react/no-find-dom-node': 'export class A extends Component { act() { return findDOMNode(this); } }',
  'react/no-is-mounted': 'export class A extends Component { act() { return this.isMounted(); } }',
  'react/no-render-return-value': 'export const f = () => { const made = ReactDOM.render(<B />, null); return made; };',
  'react/no-string-refs': 'export const A = () => <p ref="a" />;',
  'react/preserve-manual-memoization': `export function A({ a }: { a: number }) {
    const list = [a]; useB(); list.push(2); const kept = useMemo(() => list.map((b) => b), [list]);
    return <p>{kept}</p>; }`,
  'react/purity': 'export function A() { return <p>{Math.random()}</p>; }',
  'react/refs': 'export function A() { const ref = useRef(0); return <p>{ref.current}</p>; }',
  'react/rules-of-hooks':
    'export function A({ a }: { a: number }) { if (a > 1) { useEffect(() => tell(1)); } return <B />; }',
  'react/set-state-in-effect':
    'export function A() { const [a, set] = useState(0); useEffect(() => { set(1); }, []); return <p>{a}</p>; }',
  'react/set-state-in-render': 'export function A() { const [a, set] = useState(0); set(1); return <p>{a}</p>; }',
  'react/static-components': 'export function A() { const Inner = () => <B />; return <Inner />; }',
  'react/unsupported-syntax': "export function A() { const a = eval('1'); return <p>{a}</p>; }",
  'react/use-memo': 'export function A() { const kept = useMemo(async () => 1, []); return <p>{kept}</p>; }',
  'react/void-use-memo': 'export function A() { useMemo(() => { tell(1); }, []); return <B />; }',
  'nextjs/google-font-display':
    'export const A = () => <link href="https://fonts.googleapis.com/css?family=A" rel="stylesheet" />;',
  'nextjs/google-font-preconnect': 'export const A = () => <link href="https://fonts.gstatic.com" />;',
  'nextjs/inline-script-id': "import Script from 'next/script';\nexport const A = () => <Script>{`a()`}</Script>;",
  'nextjs/no-assign-module-variable': 'export const f = () => { const module = 4; return module; };',
  'nextjs/no-async-client-component':
    "'use client';\nexport default async function A() { await tell(1); return <B />; }",
  'nextjs/no-before-interactive-script-outside-document':
    'import Script from \'next/script\';\nexport const A = () => <Script src="/a.js" strategy="beforeInteractive" />;',
  'nextjs/no-css-tags': 'export const A = () => <link href="/a.css" rel="stylesheet" />;',
  'nextjs/no-head-element': 'export const A = () => <head><B /></head>;',
  'nextjs/no-html-link-for-pages': 'export const A = () => <a href="/copies">copies</a>;',
  'nextjs/no-img-element': 'export const A = () => <img src="/a.png" alt="" />;',
  'nextjs/no-script-component-in-head':
    "import Head from 'next/head';\nimport Script from 'next/script';\nexport const A = () => <Head><Script src=\"/a.js\" /></Head>;",
  'nextjs/no-sync-scripts': 'export const A = () => <script src="/a.js" />;',
  'nextjs/no-unwanted-polyfillio':
    'export const A = () => <script async src="https://polyfill.io/v3/polyfill.min.js?features=URL" />;',
  'jsx-a11y/alt-text': 'export const A = () => <img src="/a.png" />;',
  'jsx-a11y/aria-props': 'export const A = () => <p aria-nothing="a" />;',
  'jsx-a11y/aria-proptypes': 'export const A = () => <p aria-hidden="perhaps" />;',
  'jsx-a11y/aria-unsupported-elements': 'export const A = () => <meta aria-hidden="true" />;',
  'jsx-a11y/role-has-required-aria-props': 'export const A = () => <p role="checkbox" />;',
  'jsx-a11y/role-supports-aria-props': 'export const A = () => <p role="button" aria-level={2} />;',
};

/** What stands above every component. */
const ABOVE =
  "import { Component, useEffect, useMemo, useRef, useState } from 'react';\nimport { B, tell } from './kind';";

/** The file in which a rule's example stands, and what stands in it. */
const FILE_OF = Object.entries(BAD).map(([rule, text], i) => {
  const name = `${rule.split('/').at(-1)}-${i}`;
  if (rule.startsWith('nextjs/') || rule.startsWith('react/') || rule.startsWith('jsx-a11y/')) {
    const [directive = '', rest = text] = text.startsWith("'use client';") ? ["'use client';\n", text.slice(14)] : [];
    return { rule, name: `${name}.tsx`, text: `${directive}${ABOVE}\n${rest}` };
  }
  return { rule, name: `${name}.ts`, text };
});

interface Found {
  readonly diagnostics: readonly { readonly code: string; readonly filename: string }[];
}

/** A folder of its own with those files in it. */
function folderOf(files: Readonly<Record<string, string>>): string {
  const folder = mkdtempSync(join(tmpdir(), 'spanner-rules-'));
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
  for (const [name, text] of Object.entries(files)) {
    mkdirSync(dirname(join(folder, name)), { recursive: true });
    writeFileSync(join(folder, name), `${text}\n`);
  }
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

test('every rule finds what it is there for', () => {
  expect(Object.keys(BAD).sort()).toEqual(Object.keys(RULES.rules).sort());
  const found = foundIn(Object.fromEntries(FILE_OF.map(({ name, text }) => [name, text])));
  expect(FILE_OF.filter(({ rule, name }) => !found.has(`${name}: ${rule.split('/').at(-1)}`))).toEqual([]);
});

test('a function of the core, of the reckoner or of the repositories is as long as a page at most, others two', () => {
  const lines = (n: number) => `export const f = () => {\n${'  console.log(1);\n'.repeat(n)}};`;
  const found = foundIn({
    'src/core/long.ts': lines(60),
    'src/reckoner/long.ts': lines(60),
    'src/db/long.ts': lines(60),
    'src/model/long.ts': lines(60),
    'src/model/longer.ts': lines(130),
    'src/core/short.ts': lines(57),
    'test/long.test.ts': lines(500),
  });
  expect([...found].sort()).toEqual(
    ['core/long', 'db/long', 'model/longer', 'reckoner/long'].map((at) => `src/${at}.ts: max-lines-per-function`),
  );
});

test('a comment that sets a rule aside where nothing is wrong is itself told', () => {
  const said = spawnSync(join(process.cwd(), 'node_modules/.bin/oxlint'), {
    cwd: folderOf({ 'idle.ts': '// oxlint-disable-next-line no-var\nexport const kept = 4;' }),
    encoding: 'utf8',
  });
  expect([said.status, said.stdout]).toEqual([1, expect.stringContaining('Unused oxlint-disable directive')]);
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
  const offIn = (files: string) =>
    RULES.overrides.flatMap((part) =>
      part.files.includes(files) ? Object.keys(part.rules).filter((rule) => part.rules[rule] === 'off') : [],
    );
  const off = offIn('test/**/*.ts').filter((rule) => rule.startsWith('typescript/'));
  expect(off).toEqual(
    ['no-unsafe-assignment', 'no-unsafe-member-access', 'no-unsafe-argument'].map((rule) => `typescript/${rule}`),
  );
  expect(RULES.overrides.map(({ files }) => offIn(files[0] ?? ''))).toEqual([
    [],
    [...off, 'max-lines-per-function'],
    ['react/rules-of-hooks'],
  ]);
  const found = foundIn({
    'test/taken.test.ts': Object.values(BAD)
      .filter((_, i) => off.includes(Object.keys(BAD)[i] ?? ''))
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
