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
    /^SQLITE_FULL|^ENOSPC/,
    'disk-full',
    () => [
      'The disk is full, so the line could not be written.',
      'Free some space and try again. What was recorded before is safe.',
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
      'It has been left as it is. Put it aside, copy your last backup in its place, and start again.',
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
