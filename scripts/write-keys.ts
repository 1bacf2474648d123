// Writes the table of keys into README.md from the list that the program shows: `npm run keys`.
import { readFileSync, writeFileSync } from 'node:fs';
import { withKeys } from './keys-table';

writeFileSync('README.md', withKeys(readFileSync('README.md', 'utf8')));
