import type { TroubleCode } from '@/model/trouble-code';

/** Trouble with the shop's file: a sentence for a person, and what to do next. */
export class ShopTrouble extends Error {
  constructor(
    readonly code: TroubleCode,
    message: string,
    readonly nextStep: string,
    options?: ErrorOptions,
  ) {
    super(message, options);
    this.name = 'ShopTrouble';
  }
}

/** By name, not by class, as with the core's refusals. */
export const isShopTrouble = (thrown: unknown): thrown is ShopTrouble =>
  thrown instanceof Error && thrown.name === 'ShopTrouble';

const TROUBLES: readonly (readonly [RegExp, TroubleCode, (file: string) => readonly [string, string]])[] = [
  [
    /^SQLITE_FULL|^SQLITE_IOERR|^ENOSPC|^EDQUOT|^EIO/,
    'disk-full',
    () => [
      'The disk is full or cannot be written to, so the line was not recorded.',
      'Free some space, see that the disk is well, and try again. What was recorded before is safe.',
    ],
  ],
  [
    /^SQLITE_BUSY|^SQLITE_LOCKED/,
    'locked',
    (file) => [
      `Another program is holding ${file}.`,
      'Close the other program, or a second copy of this one, and try again.',
    ],
  ],
  [
    /^SQLITE_CORRUPT|^SQLITE_NOTADB/,
    'corrupt',
    (file) => [
      `The file ${file} is damaged or is not a shop file.`,
      'It has been left as it is. Stop the program and run “npm run restore” with the name of a copy: it checks the copy, keeps what is here aside with its log, and puts the copy in its place. “npm run doctor” says what is wrong.',
    ],
  ],
  [
    /^SQLITE_CANTOPEN|^SQLITE_READONLY|^SQLITE_PERM|^EACCES|^EROFS|^EPERM|^ENOTDIR|^EEXIST/,
    'not-writable',
    (file) => [
      `The file ${file} cannot be opened for writing.`,
      'Check that the folder exists and that you may write to it, or name another with SPANNER_DATA.',
    ],
  ],
];

const codeOf = (error: unknown) =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string' ? error.code : '';

/**
 * Turns an error of the driver or the file system into trouble with a next step; anything else comes back undefined.
 */
export function troubleOf(error: unknown, file: string): ShopTrouble | undefined {
  if (isShopTrouble(error)) return error;
  const found = TROUBLES.find(([pattern]) => pattern.test(codeOf(error)));
  if (!found) return undefined;
  const [message, nextStep] = found[2](file);
  return new ShopTrouble(found[1], message, nextStep, { cause: error });
}
