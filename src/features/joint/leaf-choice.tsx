'use client';

import { NativeSelect } from '@mantine/core';
import type { Leaf } from '@/model/book/leaf';
import form from '@/interface/parts/form.module.css';

/** The entry of the book that a figure is on. */
export const LeafChoice = ({
  leaves,
  value,
  onChange,
}: {
  readonly leaves: readonly Leaf[];
  readonly value: string;
  readonly onChange: (leafId: string) => void;
}) => (
  <NativeSelect
    className={form.wide}
    label="The figure on the page"
    data={leaves.map((leaf) => ({
      value: leaf.id,
      label: `${leaf.subject}: “${leaf.printedText}”, p. ${leaf.page}`,
    }))}
    value={value}
    onChange={(event) => onChange(event.currentTarget.value)}
  />
);
