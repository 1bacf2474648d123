// Takes the few signs that the screens use out of their package into src/interface/icons. Run by hand when one is added.
import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';

const NAMES = ['ArrowDown', 'ArrowLeft', 'ArrowRight', 'ArrowUp', 'Books', 'Contrast2', 'Keyboard', 'Ruler2', 'Search'];
const FOLDER = 'src/interface/icons';

const PACKAGE = 'node_modules/@tabler/icons-react';

/** What is drawn of a sign: the paths of its lines. */
const pathsOf = (name) => {
  const text = readFileSync(`${PACKAGE}/dist/esm/icons/Icon${name}.mjs`, 'utf8');
  const node = /const __iconNode = (\[.*\]);/.exec(text);
  if (!node) throw new Error(`${name} is drawn otherwise in this version of the package`);
  return JSON.parse(node[1]).map(([tag, { d }]) => {
    if (tag !== 'path') throw new Error(`${name} has a ${tag} in it`);
    return d;
  });
};

const signs = NAMES.map((name) => {
  const lines = pathsOf(name).map((d) => `  '${d}',`);
  return `export const Icon${name} = sign([\n${lines.join('\n')}\n]);`;
});
writeFileSync(
  `${FOLDER}/icons.ts`,
  `// Written by scripts/cut-icons.mjs; the licence of the signs is beside it.
import { sign } from './sign';

${signs.join('\n')}
`,
);
copyFileSync(`${PACKAGE}/LICENSE`, `${FOLDER}/icons-MIT.txt`);
