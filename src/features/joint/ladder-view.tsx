'use client';

import { NativeSelect } from '@mantine/core';
import { SHELF_FILMS } from '@/core/film';
import type { Ladder, Rung } from '@/core/joint';
import type { Joint } from '@/db/repositories/joint-repository';
import type { Wrench } from '@/db/repositories/wrench-repository';
import { otherUnitOf, useFigures } from '@/interface/figures/preferences';
import { useShowWorking, type Working } from '@/interface/shell/working-margin';
import { RANGES } from './joint-words';
import styles from './ladder-view.module.css';

const FILMS = SHELF_FILMS.map((film) => ({ value: film.id, label: film.name }));

export const workingOfRung = (rung: Rung, caution?: string): Working => ({
  title: rung.title,
  lines: rung.working,
  remarks: [['Source', rung.source], ['School', rung.school], ['Spread', rung.spread]],
  caution,
}); // prettier-ignore

interface ControlProps {
  readonly rung: Rung;
  readonly joint: Joint;
  readonly wrenches: readonly Wrench[];
  readonly onChange: (part: Partial<Joint>) => void;
}

/** What can be chosen on a rung, on the rung itself. */
function RungControl({ rung, joint, wrenches, onChange }: ControlProps) {
  if (rung.id === 'printed') return <span className={styles.quote}>{rung.working[0]?.formula}</span>;
  if (rung.id === 'unit') return <span className={styles.remark}>{rung.source}</span>;
  if (rung.id === 'range')
    return (
      <NativeSelect
        aria-label="A range becomes"
        data={[...RANGES]}
        value={joint.rangeSchool}
        onChange={(event) => onChange({ rangeSchool: event.currentTarget.value as Joint['rangeSchool'] })}
      />
    );
  if (rung.id === 'wrench')
    return (
      <NativeSelect
        aria-label="Wrench"
        data={wrenches.map(({ id, name }) => ({ value: id, label: name }))}
        value={joint.wrenchId}
        onChange={(event) => onChange({ wrenchId: event.currentTarget.value })}
      />
    );
  return (
    <span className={styles.films}>
      <span aria-hidden>Book</span>
      <NativeSelect
        aria-label="Film in the book"
        data={FILMS}
        value={joint.originalFilm}
        onChange={(event) => onChange({ originalFilm: event.currentTarget.value })}
      />
      <span aria-hidden>Today</span>
      <NativeSelect
        aria-label="Film today"
        data={FILMS}
        value={joint.todayFilm}
        onChange={(event) => onChange({ todayFilm: event.currentTarget.value })}
      />
    </span>
  );
}

interface Props extends Omit<ControlProps, 'rung'> {
  readonly ladder: Ladder;
}

/** The ladder: printed figure at the bottom, a rung a change, the figure to set at the top. */
export function LadderView({ ladder, ...control }: Props) {
  const { torque, significant, plain, unit } = useFigures();
  const show = useShowWorking();
  const wrench = control.wrenches.find((one) => one.id === control.joint.wrenchId);
  const caution = ladder.notes.map((note) => note.message).join(' ') || undefined;
  const top = ladder.rungs.at(-1);
  return (
    <div className={styles.ladder}>
      <div className={styles.top} data-off={!ladder.setting.onScale || undefined} tabIndex={0} {...(top && show(workingOfRung(top, caution)))} aria-live="polite">
        <span className={styles.set}>Set the wrench to</span>
        <output className={styles.setting} data-testid="setting">
          {plain(ladder.setting.rounded)} <span className={styles.unit}>{wrench?.unit}</span>
        </output>
        <span className={styles.also}>
          {torque(ladder.setting.achieved_Nm, 3, wrench?.unit === unit ? otherUnitOf(unit) : unit)}; clamp load {significant(ladder.band.p50_N / 1000)} kN a fastener, {significant(ladder.band.p5_N / 1000)} to {significant(ladder.band.p95_N / 1000)} kN
        </span>
      </div>
      <ol className={styles.rungs} reversed>
        {[...ladder.rungs].reverse().map((rung) => (
          <li key={rung.id} className={styles.rung} data-rung={rung.id} {...show(workingOfRung(rung, rung.id === 'wrench' || rung.id === 'film' ? caution : undefined))}>
            <button type="button" className={styles.name}>
              {rung.title}
            </button>
            <span className={styles.control}>
              <RungControl rung={rung} {...control} />
            </span>
            <span className={styles.factor}>{rung.factor === undefined || rung.id === 'unit' ? '' : `× ${significant(rung.factor, 4)}`}</span>
            <span className={styles.value}>{torque(rung.value_Nm, 4, rung.id === 'unit' ? otherUnitOf(unit) : unit)}</span>
          </li>
        ))}
      </ol>
    </div>
  ); // prettier-ignore
}
