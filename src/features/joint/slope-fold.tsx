'use client';

import { slopeRead, type SlopeReading } from '@/core/heat';
import type { SlopeSeen } from '@/model/heat/slopes-of-round';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Notice } from '@/interface/parts/screen';
import { slopedOf, slopeToday } from '@/model/joint/sheet-changes';
import { useCells } from '@/interface/parts/use-outside';
import { tryCore } from '@/model/try-core';

interface Props {
  readonly setting: JointInputs;
  readonly worked: JointResult;
  /** What the last pass shows of it, where its wrench read the angle. */
  readonly seen?: SlopeSeen;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

type Cells = { readonly [Field in keyof SlopeReading]: number | null };

const EMPTY: Cells = { from_Nm: null, to_Nm: null, turned_deg: null };

const isWhole = (cells: Cells): cells is SlopeReading => Object.values(cells).every((value) => value !== null);

const cellsOf = (slope: SlopeReading | null): Cells =>
  slope ? { from_Nm: slope.from_Nm, to_Nm: slope.to_Nm, turned_deg: slope.turned_deg } : EMPTY;

const isSame = (cells: Cells, slope: SlopeReading | null): boolean =>
  JSON.stringify(cells) === JSON.stringify(cellsOf(slope));

/** The joint's own torque against angle: what each degree that a nut moves at a retorque is worth. */
export function SlopeFold({ setting, worked, seen, onDetail }: Props) {
  const { significant } = useFigures();
  const { slope } = setting.joint.detail;
  const { cells, put, wrote } = useCells(slope, cellsOf);
  const isOfOther = slope !== null && slopeToday(setting.joint) === null;
  const keep = (next: JointDetail['slope']) => {
    wrote(next);
    onDetail({ slope: next });
  };
  const type = (part: Partial<Cells>) => {
    const next = { ...cells, ...part };
    put(part);
    // What is half typed, or cannot be, is not kept: what was kept before stands until it is whole.
    if (!isWhole(next) || (isSame(next, slope) && !isOfOther) || !tryCore(() => slopeRead(next)).ok) return;
    keep({ ...next, of: slopedOf(setting.joint) });
  };
  const take = (reading: SlopeReading) => {
    put(cellsOf(reading));
    keep({ ...reading, of: slopedOf(setting.joint) });
  };
  const found = isWhole(cells) ? tryCore(() => slopeRead(cells)) : undefined;
  const kept = slope && !isOfOther && tryCore(() => slopeRead(slope));
  const clamping_Nm = worked.ladder.target_Nm - worked.ladder.prevailing_Nm;
  return (
    <Disclosure
      title="Its own slope, torque against angle"
      line={
        isOfOther
          ? 'of what was in it before'
          : kept && kept.ok
            ? `${significant(kept.result, 2)} N·m a degree`
            : 'not read'
      }
    >
      <p className="soft">
        On the last pass, while the nut turns: read the torque, mark it, turn it on without stopping for some degrees,
        and read the torque again. With it the movement at a retorque tells the clamp load that was lost, whatever the
        friction is.
      </p>
      {seen && !isSame(cellsOf(seen.reading), slope) && (
        <p className={form.acts}>
          <span>
            On its last pass {seen.nuts === 1 ? 'one nut was' : `${seen.nuts} nuts were`} read with torque and angle:{' '}
            {significant(slopeRead(seen.reading), 2)} N·m a degree
            {seen.nuts > 1 && ` in the middle, ${significant(seen.low, 2)} to ${significant(seen.high, 2)}`}.
          </span>
          <Button onClick={() => take(seen.reading)}>Take it from the last pass</Button>
        </p>
      )}
      <div className={form.grid}>
        <MeasureField
          kind="torque"
          label="Torque at the first mark"
          value={cells.from_Nm}
          onChange={(from_Nm) => type({ from_Nm })}
        />
        <MeasureField
          kind="torque"
          label="Torque at the second mark"
          value={cells.to_Nm}
          onChange={(to_Nm) => type({ to_Nm })}
        />
        <MeasureField
          kind="number"
          label="Degrees between them"
          description="A flat of a hexagon is 60"
          value={cells.turned_deg}
          onChange={(turned_deg) => type({ turned_deg })}
        />
      </div>
      <div aria-live="polite">
        {isOfOther && (
          <Notice kind="wait">
            It was read of another thread or lubricant than the sheet has now, and nothing is reckoned with it: read it
            anew.
          </Notice>
        )}
        {found && !found.ok && <Notice kind="stop">{found.error.message}</Notice>}
        {found?.ok && !isOfOther && clamping_Nm > 0 && (
          <p>
            {significant(found.result)} N·m a degree: a nut that moves one degree had lost{' '}
            {significant((100 * found.result) / clamping_Nm, 2)} % of its clamp load.
          </p>
        )}
      </div>
      {slope && (
        <p className={form.acts}>
          <Button
            onClick={() => {
              put(EMPTY);
              keep(null);
            }}
          >
            It was not read
          </Button>
        </p>
      )}
    </Disclosure>
  );
}
