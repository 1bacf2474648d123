'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Joint } from '@/db/repositories/joint-repository';
import form from '@/interface/parts/form.module.css';

interface Props {
  readonly joint: Joint;
  readonly onChange: (part: Partial<Joint>) => void;
}

const parse = (text: string): number | undefined => {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && value > 0 && value < 200 ? value : undefined;
};

/** The ring on which the nut turns: the usual one of the size, until a caliper says otherwise. */
export function FaceFields({ joint, onChange }: Props) {
  const [outer, setOuter] = useState(String(joint.bearingOuterMm));
  const [inner, setInner] = useState(String(joint.bearingInnerMm));
  const set = (nextOuter: string, nextInner: string) => {
    setOuter(nextOuter);
    setInner(nextInner);
    const [o, i] = [parse(nextOuter), parse(nextInner)];
    if (o !== undefined && i !== undefined && o > i) onChange({ bearingOuterMm: o, bearingInnerMm: i, bearingMeasured: true });
  };
  const [o, i] = [parse(outer), parse(inner)];
  return (
    <div className={form.grid}>
      <TextInput label="Face of the nut, outside, mm" description={joint.bearingMeasured ? 'Measured' : 'Usual for the size; measure yours'} inputMode="decimal" value={outer} error={o === undefined && 'Give it in mm.'} onChange={(event) => set(event.currentTarget.value, inner)} />
      <TextInput label="Hole it turns on, mm" inputMode="decimal" value={inner} error={(i === undefined && 'Give it in mm.') || (o !== undefined && i !== undefined && o <= i && 'The hole must be smaller than the face.')} onChange={(event) => set(outer, event.currentTarget.value)} />
    </div>
  ); // prettier-ignore
}
