import type { Database } from 'better-sqlite3';
import { randomInt } from 'node:crypto';
import {
  closeSync,
  existsSync,
  fsyncSync,
  openSync,
  readFileSync,
  readSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';

/*
 * SQLite plays a log it finds beside a file over that file, whoever's log it is. So every file says in its header which
 * mark it is at (`user_version`), and a note beside it says at which marks its log may be played: a copy put in its
 * place is at another mark, and then the log is put aside with what it belongs to.
 */

const HEADER = 100;
const AT_MARK = 60;
const AT_FORMAT = 18;
const WITHOUT_LOG = 1;
const MAX_MARK = 2_147_483_647;

export interface Header {
  readonly mark: number;
  /** True for a file that was closed to be kept: no log of its own can lie beside it. */
  readonly withoutLog: boolean;
}

/** What the first hundred bytes of a file say; undefined where it has none. */
export function headerOf(file: string): Header | undefined {
  let descriptor: number;
  try {
    descriptor = openSync(file, 'r');
  } catch {
    return undefined;
  }
  try {
    const bytes = Buffer.alloc(HEADER);
    if (readSync(descriptor, bytes, 0, HEADER, 0) < HEADER) return undefined;
    return { mark: bytes.readUInt32BE(AT_MARK), withoutLog: bytes[AT_FORMAT] === WITHOUT_LOG };
  } finally {
    closeSync(descriptor);
  }
}

export const noteOf = (file: string) => `${file}-mark`;
/** A whole file on its way into another's place. */
export const comingOf = (file: string) => `${file}.coming`;
export const logOf = (file: string) => `${file}-wal`;
export const indexOf = (file: string) => `${file}-shm`;

function marksIn(file: string): readonly number[] | undefined {
  try {
    return readFileSync(noteOf(file), 'utf8').split(/\s+/).filter(Boolean).map(Number);
  } catch {
    return undefined;
  }
}

function noteMarks(file: string, marks: readonly number[]): void {
  const note = noteOf(file);
  const descriptor = openSync(`${note}.new`, 'w');
  try {
    writeSync(descriptor, `${marks.join('\n')}\n`);
    fsyncSync(descriptor);
  } finally {
    closeSync(descriptor);
  }
  renameSync(`${note}.new`, note);
}

/** Asked in one step: another program may close, and take its log away, between two. */
export const sizeOf = (file: string): number => statSync(file, { throwIfNoEntry: false })?.size ?? 0;

function looksForeign(file: string): boolean {
  if (sizeOf(logOf(file)) === 0) return false;
  const header = headerOf(file);
  if (!header) return sizeOf(file) === 0;
  if (header.withoutLog) return true;
  const marks = marksIn(file);
  return marks !== undefined && !marks.includes(header.mark);
}

/**
 * True where a log lies beside the file that cannot be its own. Looked at twice: a program that closes the file between
 * the look at the log and the one at the header leaves what looks like a closed file with a log.
 */
export const hasForeignLog = (file: string): boolean => looksForeign(file) && looksForeign(file);

/** A name for what is put aside, that nothing has yet. */
export function asideOf(file: string, ending: string, n = 1): string {
  const name = `${file}.aside-${n}${ending}`;
  return existsSync(name) ? asideOf(file, ending, n + 1) : name;
}

/** Puts a log aside that is not this file's, where it can be looked at; answers with where it went. */
export function putLogAside(file: string): string {
  const aside = asideOf(file, '-wal');
  renameSync(logOf(file), aside);
  rmSync(indexOf(file), { force: true });
  return aside;
}

/** Does something while no other program can write to the file; undefined where one does and goes on with it. */
function whileNobodyWrites<T>(db: Database, work: () => T): T | undefined {
  try {
    db.exec('BEGIN IMMEDIATE');
  } catch (error) {
    if (error instanceof Error && 'code' in error && String(error.code).startsWith('SQLITE_BUSY')) return undefined;
    throw error;
  }
  try {
    const done = work();
    db.exec('COMMIT');
    return done;
  } catch (error) {
    if (db.inTransaction) db.exec('ROLLBACK');
    throw error;
  }
}

/**
 * Gives an open file a mark of its own, folded into the file itself; the note says both while that is under way. Where
 * a log still holds lines, or another program is at work on it, the mark stays as it is. Two programs that open one file
 * do this one after the other: neither drops from the note what the other has just put into the file.
 */
export function markAnew(db: Database, file: string): void {
  const mark = randomInt(1, MAX_MARK);
  const headerMark = () => headerOf(file)?.mark ?? 0;
  const ownMark = () => db.pragma('user_version', { simple: true }) as number;
  const folded = isFolded(db);
  const isGiven = whileNobodyWrites(db, () => {
    const known = marksIn(file);
    if (!folded) {
      if (known === undefined) noteMarks(file, [headerMark()]);
      return false;
    }
    noteMarks(file, [...new Set([headerMark(), ownMark(), ...(known ?? []), mark])]);
    db.pragma(`user_version = ${mark}`);
    return true;
  });
  if (!isGiven || !isFolded(db)) return;
  whileNobodyWrites(db, () => {
    if (headerMark() === mark && ownMark() === mark) noteMarks(file, [mark]);
  });
}

/** Folds the log into the file; false where somebody is reading or writing it. */
export function isFolded(db: Database): boolean {
  const [result] = db.pragma('wal_checkpoint(TRUNCATE)') as readonly { readonly busy: number }[];
  return result?.busy === 0;
}

/** Whether the file is still the one that was opened: the same file on disk, at a mark that its note knows. */
export function isStillOwn(file: string, opened: Opened): boolean {
  const found = inodeOf(file);
  if (found !== opened.inode) return false;
  const header = headerOf(file);
  if (!header || header.withoutLog) return false;
  return header.mark === opened.mark || (marksIn(file)?.includes(header.mark) ?? true);
}

export interface Opened {
  readonly inode: number;
  readonly mark: number;
  /** The log that was begun for it. */
  readonly logInode: number;
}

/** Whether a program of this kind has the file open or left it so: its mark is in the note beside it. */
export const isMarked = (file: string): boolean => {
  const header = headerOf(file);
  return header !== undefined && !header.withoutLog && (marksIn(file)?.includes(header.mark) ?? false);
};

export const inodeOf = (file: string): number => {
  try {
    return statSync(file).ino;
  } catch {
    return -1;
  }
};

/** What a file that has just been opened is to be known again by. */
export const openedAs = (file: string): Opened => ({
  inode: inodeOf(file),
  mark: headerOf(file)?.mark ?? 0,
  logInode: inodeOf(logOf(file)),
});
