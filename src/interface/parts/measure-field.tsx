'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { isDomainError } from '@/core/units';
import { useFigures } from '../figures/preferences';
import { isBare, typedLength, typedNumber, typedTorque } from '../figures/typed';

type Read = { readonly ok: true; readonly value: number | null } | { readonly ok: false; readonly message: string };
type Kind = 'length' | 'torque' | 'number';

const TYPED = { length: typedLength, torque: typedTorque, number: typedNumber } as const;

function readMeasure(text: string, kind: Kind): Read {
  if (text.trim() === '') return { ok: true, value: null };
  try {
    return { ok: true, value: TYPED[kind](text, 'value') };
  } catch (error) {
    if (isDomainError(error)) return { ok: false, message: error.message };
    throw error;
  }
}

const UNITS = { length: 'mm', torque: 'N·m', number: '' } as const;

interface Props {
  readonly label: string;
  readonly description?: string;
  readonly kind?: Kind;
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  readonly zero?: boolean;
}

/** A measured figure: typed in mm or N·m, or in any unit that print knows (`9/16 in`, `12 in lb`). Nothing typed is lost. */
export function MeasureField({ label, description, kind = 'length', value, onChange, zero = false }: Props) {
  const { plain } = useFigures();
  const [text, setText] = useState(value === null ? '' : plain(value));
  const read = readMeasure(text, kind);
  const low = read.ok && read.value !== null && !(read.value > 0 || (zero && read.value === 0));
  const converted = read.ok && read.value !== null && !isBare(text);
  const type = (next: string) => {
    setText(next);
    const now = readMeasure(next, kind);
    if (now.ok && (now.value === null || now.value > 0 || (zero && now.value === 0))) onChange(now.value);
  };
  const unit = UNITS[kind];
  return (
    <TextInput
      label={unit ? `${label}, ${unit}` : label}
      description={converted && read.ok && read.value !== null ? `${plain(Number(read.value.toPrecision(6)))} ${unit}` : description}
      inputMode={kind === 'number' ? 'decimal' : 'text'}
      autoComplete="off"
      value={text}
      error={(!read.ok && read.message) || (low && 'It must be above 0.')}
      onChange={(event) => type(event.currentTarget.value)}
    />
  );
}
