// Before a command: everything it needs is there, and compiled. With `--to-serve` what only the tests need is left out.
import { installed } from './installed.mjs';

const { compiling } = await installed({ toServe: process.argv.includes('--to-serve') });
if (!(await compiling)) process.exit(1);
