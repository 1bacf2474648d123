import { isBare, typedNumber } from '@/core/print';
import { INCH_MM, isDomainError } from '@/core/units';
import type { PrintReader } from './print-reader';

export type ReadMeasure =
  | { readonly ok: true; readonly value: number | null }
  // Without a message what reads it is on its way: it is not taken until then, and what stood before it stands.
  | { readonly ok: false; readonly message?: string };
export type MeasureKind = 'length' | 'torque' | 'number';

/** How a field of a kind is read and told: its unit, a bare figure in it, and back. */
export interface Scale {
  readonly unit: string;
  /** Of a bare figure in it. */
  readonly bare: (figure: number) => number;
  /** Of one with a unit of its own, where there may be such. */
  readonly read?: (text: string, reader: PrintReader) => number;
  readonly told: (value: number) => number;
}

const same = (value: number) => value;
export const SCALES: Readonly<Record<MeasureKind | 'inch', Scale>> = {
  length: { unit: 'mm', bare: same, read: (text, { typedLength }) => typedLength(text, 'value'), told: same },
  inch: {
    unit: 'in',
    bare: (inches) => inches * INCH_MM,
    read: (text, { typedLength }) => typedLength(text, 'value'),
    told: (mm) => Number((mm / INCH_MM).toPrecision(7)),
  },
  torque: { unit: 'N·m', bare: same, read: (text, { typedTorque }) => typedTorque(text, 'value'), told: same },
  number: { unit: '', bare: same, told: same },
};

const SIGN = /^\s*([+\-−])\s*/;

/** A figure apart from its sign, where it may have one. */
export function sizeOf(text: string, signed: boolean): readonly [size: string, isBelow: boolean] {
  const sign = signed ? SIGN.exec(text)?.[1] : undefined;
  return [sign === undefined ? text : text.replace(SIGN, ''), sign === '-' || sign === '−'];
}

/** What reads it where it takes more than a bare figure. */
export const printOf = (text: string, { read }: Scale, signed: boolean) =>
  text.trim() === '' || isBare(sizeOf(text, signed)[0]) ? undefined : read;

/** What a text comes to in the field’s own measure; nothing while what reads it is not here yet. */
export function readMeasure(text: string, scale: Scale, signed: boolean, reader: PrintReader | undefined): ReadMeasure {
  if (text.trim() === '') return { ok: true, value: null };
  const [size, isBelow] = sizeOf(text, signed);
  const print = printOf(text, scale, signed);
  if (print && !reader) return { ok: false };
  try {
    const value = print && reader ? print(size, reader) : scale.bare(typedNumber(size, 'value'));
    return { ok: true, value: isBelow ? -value : value };
  } catch (error) {
    if (isDomainError(error)) return { ok: false, message: error.message };
    throw error;
  }
}
