import { createInterface } from 'node:readline';
import { reckonLine } from './reckon';

// A closed reader (`| head`) ends the run quietly.
process.stdout.on('error', () => process.exit(0));

createInterface({ input: process.stdin, crlfDelay: Infinity }).on('line', (line) => {
  process.stdout.write(`${reckonLine(line)}\n`);
});
