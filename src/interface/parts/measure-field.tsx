'use client';

import { TextInput } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { useFigures, useLengths } from '../figures/preferences';
import { isBare } from '@/core/print';
import { SCALES, printOf, readMeasure, sizeOf, type MeasureKind, type Scale } from './measure-reading';
import { OUT_OF_REACH } from './out-of-reach';
import { UNREAD } from './unread-cell';
import { fetchPrintReader, usePrintReader, type PrintReader } from './print-reader';

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
function useTyped(value: number | null, scale: Scale, signed: boolean, reader: PrintReader | undefined): Typed {
  const { plain } = useFigures();
  // Without the thin space between thousands: a figure is read back as it stands in its cell.
  const told = (one: number | null) => (one === null ? '' : plain(scale.told(one)).replace(/\u202f/g, ''));
  const [text, setText] = useState(() => told(value));
  const [unit, setUnit] = useState(scale.unit);
  if (unit !== scale.unit) {
    setUnit(scale.unit);
    if (isBare(sizeOf(text, true)[0]) && value !== null) setText(told(value));
  }
  const [stood, setStood] = useState(value);
  // A sheet is drawn behind its letters: what comes back may be of a letter before the last one.
  const [given, setGiven] = useState<readonly (number | null)[]>([]);
  if (stood !== value) {
    setStood(value);
    const read = readMeasure(text, scale, signed, reader);
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
  readonly kind?: MeasureKind;
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
  const reader = usePrintReader();
  const { text, setText, give, rest } = useTyped(value, scale, signed, reader);
  const [isOut, setIsOut] = useState(false);
  /** What was typed and cannot be read yet. */
  const owed = useRef<string>(undefined);
  const isBeyond = (one: number) => limits !== undefined && (one < limits[0] || one > limits[1]);
  const stands = (one: number) => (signed || one > 0 || (zero && one === 0)) && !isBeyond(one);
  const read = readMeasure(text, scale, signed, reader);
  const low = read.ok && read.value !== null && !stands(read.value);
  const converted = read.ok && read.value !== null && !isBare(sizeOf(text, true)[0]);
  const take = (next: string, by: PrintReader | undefined) => {
    const now = readMeasure(next, scale, signed, by);
    if (!now.ok || !(now.value === null || stands(now.value))) return;
    give(now.value);
    onChange(now.value);
  };
  // By whichever field the reader comes, what was typed before is taken by it; not where another value stands since.
  useEffect(() => {
    if (!reader || owed.current === undefined) return;
    if (owed.current === text) take(text, reader);
    owed.current = undefined;
  });
  const type = (next: string) => {
    setText(next);
    setIsOut(false);
    const isOwed = !reader && printOf(next, scale, signed) !== undefined;
    owed.current = isOwed ? next : undefined;
    if (isOwed) fetchPrintReader().catch(() => setIsOut(true));
    else take(next, reader);
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
      {...{ [UNREAD]: !read.ok || low || undefined }}
      error={
        (!read.ok && (read.message ?? (isOut && `${OUT_OF_REACH} A bare figure is taken all the same.`))) ||
        (low && (limits ? `From ${limits[0]} to ${limits[1]}.` : 'It must be above 0.')) ||
        fault
      }
      onChange={(event) => type(event.currentTarget.value)}
      // Here by the time that a unit is typed; out of reach, that is said then.
      onFocus={() => scale.read && fetchPrintReader().catch(() => undefined)}
      onBlur={rest}
    />
  );
}
