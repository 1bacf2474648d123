import type { Piece } from '@/core/joint';

export type DecimalSign = '.' | ',';

const THIN_SPACE = '\u202f';

const grouped = (whole: string) => (whole.length > 4 ? whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN_SPACE) : whole);

const joined = (plain: string, sign: DecimalSign): string => {
  const negative = plain.startsWith('-');
  const [whole = '', part] = plain.replace('-', '').split('.');
  return `${negative ? '−' : ''}${grouped(whole)}${part === undefined ? '' : `${sign}${part}`}`;
};

/** A figure to so many significant digits, never in powers of ten: `29 394`, `0.0985`. */
export function formatSignificant(value: number, digits: number, sign: DecimalSign = '.'): string {
  if (value === 0) return '0';
  const decimals = Math.max(0, digits - 1 - Math.floor(Math.log10(Math.abs(value))));
  return joined(String(Number(value.toFixed(Math.min(decimals, 12)))), sign);
}

/** A figure to so many decimals, zeros kept, so that columns align. */
export const formatFixed = (value: number, decimals: number, sign: DecimalSign = '.'): string =>
  joined(value.toFixed(decimals), sign);

/** A figure as a person wrote or a wrench is marked: no digit more than it has. */
export const formatPlain = (value: number, sign: DecimalSign = '.'): string =>
  joined(String(Number(value.toPrecision(10))), sign);

export const formatPieces = (pieces: readonly Piece[], sign: DecimalSign): string =>
  pieces
    .map((piece) => (typeof piece === 'string' ? piece : formatSignificant(piece.value, piece.digits, sign)))
    .join('');
