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

interface Typed {
  readonly text: string;
  readonly setText: (text: string) => void;
  /** Notes a value that goes out, so that it is known when it comes back. */
  readonly give: (value: number | null) => void;
  /** Nothing is on its way any more. */
  readonly rest: () => void;
}

/**
 * What was typed. A bare figure is told anew when the unit system changes, so that it never changes its meaning; and
 * where another value stands than was typed, as once an act is taken back, that one is told.
 */
function useTyped(value: number | null, scale: Scale, signed: boolean): Typed {
  const { plain } = useFigures();
  // Without the thin space between thousands: a figure is read back as it stands in its cell.
  const told = (one: number | null) => (one === null ? '' : plain(scale.told(one)).replace(/\u202f/g, ''));
  const [text, setText] = useState(() => told(value));
  const [unit, setUnit] = useState(scale.unit);
  if (unit !== scale.unit) {
    setUnit(scale.unit);
    if (isBare(text.replace(SIGN, '')) && value !== null) setText(told(value));
  }
  const [stood, setStood] = useState(value);
  // A sheet is drawn behind its letters: what comes back may be of a letter before the last one.
  const [given, setGiven] = useState<readonly (number | null)[]>([]);
  if (stood !== value) {
    setStood(value);
    const read = readMeasure(text, scale, signed);
    if (given.length > 0) setGiven(given.slice(given.lastIndexOf(value) + 1 || given.length));
    else if (!read.ok || read.value !== value) setText(told(value));
  }
  return {
    text,
    setText,
    give: (one) => {
      if (one !== (given.length > 0 ? given.at(-1) : value)) setGiven([...given, one]);
    },
    rest: () => setGiven([]),
  };
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
  /** Why it does not go with what stands in the fields beside it: said here, and kept all the same. */
  readonly fault?: string;
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
  fault,
  signed = false,
  bothSystems = false,
}: Props) {
  const { plain } = useFigures();
  const { inch } = useLengths();
  const scale = SCALES[bothSystems && kind === 'length' && inch ? 'inch' : kind];
  const { text, setText, give, rest } = useTyped(value, scale, signed);
  const isBeyond = (one: number) => limits !== undefined && (one < limits[0] || one > limits[1]);
  const stands = (one: number) => (signed || one > 0 || (zero && one === 0)) && !isBeyond(one);
  const read = readMeasure(text, scale, signed);
  const low = read.ok && read.value !== null && !stands(read.value);
  const converted = read.ok && read.value !== null && !isBare(text.replace(SIGN, ''));
  const type = (next: string) => {
    setText(next);
    const now = readMeasure(next, scale, signed);
    if (!now.ok || !(now.value === null || stands(now.value))) return;
    give(now.value);
    onChange(now.value);
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
        (!read.ok && read.message) ||
        (low && (limits ? `From ${limits[0]} to ${limits[1]}.` : 'It must be above 0.')) ||
        fault
      }
      onChange={(event) => type(event.currentTarget.value)}
      onBlur={rest}
    />
  );
}
