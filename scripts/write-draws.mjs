// Compiles the simulation's draws into `src/core/statistics/draws-code.ts`: `npm run draws`. Not TypeScript: the compiler's
// own types of the language would stand in for those of the whole project.
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { main } from 'assemblyscript/asc';

const source = readFileSync('src/core/statistics/draws.as', 'utf8');
const options = ['-O3', '--runtime', 'stub', '--noAssert', '--enable', 'simd'];
/** Two pages: a hundred kilobytes of columns, and whatever the language itself might keep behind them. */
const memory = ['--initialMemory', '2', '--maximumMemory', '2', '--memoryBase', String(13 * 8192)];
let code;
const { error, stderr } = await main(['draws.ts', '--outFile', 'draws.wasm', ...options, ...memory], {
  readFile: (name) => (name === 'draws.ts' ? source : null),
  writeFile: (_, contents) => void (code = contents),
  listFiles: () => [],
});
if (error || !code) {
  console.error(stderr.toString() || String(error));
  process.exit(1);
}
const text = Buffer.from(code).toString('base64');
// A test compares it with the source's: compiling anew takes seconds.
const digest = createHash('sha256').update(source).digest('hex');
writeFileSync(
  'src/core/statistics/draws-code.ts',
  `/** \`draws.as\`, compiled by \`npm run draws\`, of the source with this digest: ${digest}. */\nexport const DRAWS =\n  '${text}';\n`,
);
