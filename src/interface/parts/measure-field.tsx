'use client';

import { INCH_MM, isDomainError } from '@/core/units';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { useFigures, useLengths } from '../figures/preferences';
import { isBare, typedLength, typedNumber, typedTorque } from '@/core/print';

type Read = { readonly ok: true; readonly value: number | null } | { readonly ok: false; readonly message: string };
type Kind = 'length' | 'torque' | 'number';

/** How a field of a kind is read and told: its unit, a bare figure in it, and back. */
interface Scale {
  readonly unit: string;
  readonly read: (text: string) => number;
  readonly told: (value: number) => number;
}

const same = (value: number) => value;
const SCALES: Readonly<Record<Kind | 'inch', Scale>> = {
  length: { unit: 'mm', read: (text) => typedLength(text, 'value'), told: same },
  inch: {
    unit: 'in',
    read: (text) => typedLength(text, 'value', 'in'),
    told: (mm) => Number((mm / INCH_MM).toPrecision(7)),
  },
  torque: { unit: 'N·m', read: (text) => typedTorque(text, 'value'), told: same },
  number: { unit: '', read: (text) => typedNumber(text, 'value'), told: same },
};

const SIGN = /^\s*([+\-−])\s*/;

function readMeasure(text: string, scale: Scale, signed: boolean): Read {
  if (text.trim() === '') return { ok: true, value: null };
  const sign = signed ? SIGN.exec(text)?.[1] : undefined;
  try {
    const value = scale.read(sign === undefined ? text : text.replace(SIGN, ''));
    return { ok: true, value: sign === '-' || sign === '−' ? -value : value };
  } catch (error) {
    if (isDomainError(error)) return { ok: false, message: error.message };
    throw error;
  }
}

/** What was typed. A bare figure is told anew when the unit system changes, so that it never changes its meaning. */
function useTyped(value: number | null, scale: Scale): readonly [text: string, setText: (text: string) => void] {
  const { plain } = useFigures();
  // Without the thin space between thousands: a figure is read back as it stands in its cell.
  const told = (one: number | null) => (one === null ? '' : plain(scale.told(one)).replace(/\u202f/g, ''));
  const [text, setText] = useState(() => told(value));
  const [unit, setUnit] = useState(scale.unit);
  if (unit !== scale.unit) {
    setUnit(scale.unit);
    if (isBare(text.replace(SIGN, '')) && value !== null) setText(told(value));
  }
  return [text, setText];
}

interface Props {
  readonly label: string;
  readonly description?: string;
  readonly kind?: Kind;
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  readonly zero?: boolean;
  /** The least and the most that it may be; what lies beyond is said, and not kept. */
  readonly limits?: readonly [least: number, most: number];
  /** True where it may lie below nothing: a dome, a piston above the face. */
  readonly signed?: boolean;
  /** True where a length is told, and a bare figure read, in inches while inches are shown. */
  readonly bothSystems?: boolean;
}

/**
 * A measured figure: typed bare in the field's unit, or in any unit that print knows (`9/16 in`, `12 in lb`). Nothing
 * typed is lost.
 */
export function MeasureField({
  label,
  description,
  kind = 'length',
  value,
  onChange,
  zero = false,
  limits,
  signed = false,
  bothSystems = false,
}: Props) {
  const { plain } = useFigures();
  const { inch } = useLengths();
  const scale = SCALES[bothSystems && kind === 'length' && inch ? 'inch' : kind];
  const [text, setText] = useTyped(value, scale);
  const isBeyond = (one: number) => limits !== undefined && (one < limits[0] || one > limits[1]);
  const stands = (one: number) => (signed || one > 0 || (zero && one === 0)) && !isBeyond(one);
  const read = readMeasure(text, scale, signed);
  const low = read.ok && read.value !== null && !stands(read.value);
  const converted = read.ok && read.value !== null && !isBare(text.replace(SIGN, ''));
  const type = (next: string) => {
    setText(next);
    const now = readMeasure(next, scale, signed);
    if (now.ok && (now.value === null || stands(now.value))) onChange(now.value);
  };
  return (
    <TextInput
      label={scale.unit ? `${label}, ${scale.unit}` : label}
      description={
        converted && read.ok && read.value !== null
          ? `${plain(Number(scale.told(read.value).toPrecision(6)))} ${scale.unit}`
          : description
      }
      inputMode={kind === 'number' ? 'decimal' : 'text'}
      autoComplete="off"
      value={text}
      error={
        (!read.ok && read.message) || (low && (limits ? `From ${limits[0]} to ${limits[1]}.` : 'It must be above 0.'))
      }
      onChange={(event) => type(event.currentTarget.value)}
    />
  );
}
