import { createWriteStream, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { execFile } from 'node:child_process';
import { dirname, join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { DomainError } from '@/core/units';
import { checkCopy, copyShop, type CheckedCopy } from '@/db/copies';
import { isShopTrouble, ShopTrouble } from '@/db/trouble';
import type { Shop } from '@/db/shop';
import type { TroubleCode } from '@/model/trouble-code';
import { nowMs } from './clock';
import { dataFolder, shopFile } from './shop-file';

const DAY_MS = 86_400_000;
const KEPT_DAYS = 7;

export const copiesFolder = (): string => join(/* turbopackIgnore: true */ dataFolder(), 'copies');

export type CopyKind = 'daily' | 'by-hand' | 'brought';

export interface KeptCopy {
  readonly name: string;
  readonly kind: CopyKind;
  readonly madeAt: string;
  readonly bytes: number;
}

const NAME = /^(daily|by-hand|brought)-[\w-]+\.sqlite$/;
const kindOf = (name: string): CopyKind => (NAME.exec(name)?.[1] ?? 'by-hand') as CopyKind;

/** What a copy may be called: no way out of its folder. */
export const isCopyName = (name: string): boolean => NAME.test(name);

/** The copies there are, the latest first. */
export function keptCopies(): readonly KeptCopy[] {
  const folder = copiesFolder();
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter(isCopyName)
    .map((name) => {
      const { mtime, size } = statSync(join(/* turbopackIgnore: true */ folder, name));
      return { name, kind: kindOf(name), madeAt: mtime.toISOString(), bytes: size };
    })
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt));
}

/** Where a copy of this moment goes. */
export function newCopy(kind: CopyKind, now = nowMs()): string {
  const stamp = new Date(now).toISOString().slice(0, 19).replace(/[:T]/g, '-');
  return join(/* turbopackIgnore: true */ copiesFolder(), `${kind}-${stamp}.sqlite`);
}

/** To look through a larger one takes so long that a pull would wait for it: that is done by a program beside. */
const LARGE_BYTES = 20_000_000;

/** The rows of each table, as the command tells them. */
const countsIn = (told: string): CheckedCopy['counts'] =>
  [...told.matchAll(/^ {2}(\S+) +(\d+)$/gm)].map(([, table = '', rows]) => ({ table, rows: Number(rows) }));

/** Copies a shop by the command that does it, in a program of its own. @throws ShopTrouble */
export function copyBeside(file: string, to: string): Promise<CheckedCopy> {
  const command = join(/* turbopackIgnore: true */ process.cwd(), 'scripts', 'backup.ts');
  const env = { ...process.env, SPANNER_DATA: dirname(file) };
  return new Promise((resolve, reject) => {
    const child = execFile(process.execPath, ['--import', 'tsx', command, to], { env }, (error, told, said) => {
      if (error) reject(new ShopTrouble('failed', `The copy could not be made: ${said.trim()}`, 'Try again.'));
      else resolve({ file: to, counts: countsIn(told) });
    });
    child.unref();
  });
}

/** Makes a copy of the shop among the others, looked through. @throws ShopTrouble */
export const makeCopy = (shop: Shop, kind: CopyKind): Promise<CheckedCopy> =>
  statSync(shop.file).size > LARGE_BYTES ? copyBeside(shop.file, newCopy(kind)) : copyShop(shop.db, newCopy(kind));

/** The day's copies beyond the latest seven go; what was copied by hand stays. */
function dropOld(): void {
  const daily = keptCopies().filter(({ kind }) => kind === 'daily');
  for (const { name } of daily.slice(KEPT_DAYS)) rmSync(join(/* turbopackIgnore: true */ copiesFolder(), name));
}

// One at a time, whatever bundle asks.
const holder = globalThis as { spannerDaily?: Promise<void> };

/** A shop that was closed meanwhile is copied when it is opened again: nothing is wrong with that. */
function sayWhy(shop: Shop, error: unknown): void {
  if (shop.db.open) console.warn('The copy of the day could not be made:', error);
}

/**
 * Copies the person's own shop where the latest of the day's copies is a day old. It runs beside the work, a little at
 * a time; that it failed is said in the server's output and to whoever looks at the copies, and stops nothing.
 */
function copyDaily(shop: Shop): void {
  if (shop.file !== shopFile('own') || holder.spannerDaily) return;
  const latest = keptCopies().find(({ kind }) => kind === 'daily');
  if (latest && Date.now() - Date.parse(latest.madeAt) < DAY_MS) return;
  if (shop.engines.all().length === 0) return;
  mkdirSync(copiesFolder(), { recursive: true });
  holder.spannerDaily = makeCopy(shop, 'daily')
    .then(dropOld)
    .catch((error: unknown) => sayWhy(shop, error))
    .finally(() => setTimeout(() => (holder.spannerDaily = undefined), 60_000).unref());
}

const LOOK_MS = 10 * 60_000;
let lookedAt = 0;

/** Asked with every request: whether a copy of the day is due is looked up every ten minutes. */
export function copyIfDue(shop: Shop): void {
  const now = Date.now();
  if (now - lookedAt < LOOK_MS) return;
  lookedAt = now;
  setImmediate(() => {
    // Nobody else catches what is thrown here: it would end the program.
    try {
      copyDaily(shop);
    } catch (error) {
      sayWhy(shop, error);
    }
  });
}

const MAX_BROUGHT = 4e9;

/** Counts what goes by, and stops what is larger than any shop. */
const capped = (most: number) =>
  new Transform({
    transform(this: Transform & { seen?: number }, chunk: Buffer, _encoding, done) {
      this.seen = (this.seen ?? 0) + chunk.length;
      if (this.seen > most) done(new DomainError('too-large', 'That is larger than any shop: it was not taken.'));
      else done(null, chunk);
    },
  });

/** What is wrong with a file that was brought: another is chosen, and nothing is to be done about the shop. */
const NO_COPY: Readonly<Partial<Record<TroubleCode, string>>> = {
  corrupt: 'That file is not whole, or is no copy of a shop',
  'foreign-file': 'That file is one of another program',
  'newer-version': 'That copy was made by a newer version of this program',
  'changed-history': 'That copy was made by a version of this program that was changed',
};

function checkBrought(file: string): CheckedCopy {
  try {
    return checkCopy(file);
  } catch (error) {
    const said = isShopTrouble(error) ? NO_COPY[error.code] : undefined;
    if (said === undefined) throw error;
    throw new DomainError('no-copy', `${said}. It was not taken, and your shop is as it was.`);
  }
}

/** Takes a copy from elsewhere in, a little at a time, and looks it through. @throws ShopTrouble, DomainError no-copy */
export async function bringCopy(body: ReadableStream | null): Promise<CheckedCopy> {
  if (!body) throw new DomainError('bad-field', 'There is no file in the request.');
  mkdirSync(copiesFolder(), { recursive: true });
  const to = newCopy('brought');
  const coming = `${to}.growing`;
  try {
    await pipeline(Readable.fromWeb(body as never), capped(MAX_BROUGHT), createWriteStream(coming));
    const checked = checkBrought(coming);
    renameSync(coming, to);
    return { ...checked, file: to };
  } finally {
    for (const ending of ['', '-wal', '-shm']) rmSync(`${coming}${ending}`, { force: true });
  }
}
