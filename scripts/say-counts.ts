import { isShopTrouble } from '@/db/trouble';
import type { TableCount } from '@/db/copies';

/** How many rows each table has, those with none left out. */
export function sayCounts(counts: readonly TableCount[]): void {
  const filled = counts.filter(({ rows }) => rows > 0);
  const width = Math.max(0, ...filled.map(({ table }) => table.length));
  for (const { table, rows } of filled) console.log(`  ${table.padEnd(width)}  ${rows}`);
}

/** Runs a command's work; what goes wrong is a sentence, and the exit code says so. */
export async function told(work: () => Promise<void> | void): Promise<void> {
  try {
    await work();
  } catch (error) {
    process.exitCode = 1;
    if (isShopTrouble(error)) console.error(`${error.message} ${error.nextStep}`);
    else if (error instanceof Error && !('code' in error)) console.error(error.message);
    else throw error;
  }
}
