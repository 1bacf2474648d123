'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { OVERRULED, type Override, type Rung, type RungId } from '@/core/joint';
import { turnsOfLeaf } from '@/model/book/leaf-figure';
import { turnsWords } from '@/model/joint/turns-words';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import type { Joint } from '@/model/joint/joint';
import { otherUnitOf } from '@/interface/figures/figures';
import { useFigures } from '@/interface/figures/preferences';
import { useShowWorking } from '@/interface/shell/working-margin';
import type { JointChange } from './schema';
import { RANGES } from './joint-words';
import styles from './ladder-view.module.css';
import { workingOfRung } from './rung-working';
import { SetAside } from './set-aside';

interface ControlProps {
  readonly rung: Rung;
  readonly setting: JointInputs;
  readonly worked: JointResult;
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

const FROM_SHELF = 'shelf';

/** Film in the book, film today; the head apart from the thread where it is. */
function FilmControl({ setting: { joint, shelves }, onChange, onDetail }: Omit<ControlProps, 'rung' | 'worked'>) {
  const films = shelves.films.map((film) => ({
    value: film.id,
    label: film.provenance === 'own' ? `${film.name} (own)` : film.name,
  }));
  return (
    <span className={styles.films}>
      <span aria-hidden>Book</span>
      <NativeSelect
        aria-label="Lubricant in the book"
        data={films}
        value={joint.originalFilm}
        onChange={(event) => onChange({ originalFilm: event.currentTarget.value })}
      />
      <span aria-hidden>Today</span>
      <NativeSelect
        aria-label="Lubricant today"
        data={films}
        value={joint.todayFilm}
        onChange={(event) => onChange({ todayFilm: event.currentTarget.value })}
      />
      <span aria-hidden>Head</span>
      <NativeSelect
        aria-label="Lubricant under the head"
        data={[{ value: '', label: 'the same under the head' }, ...films]}
        value={joint.detail.headFilm ?? ''}
        onChange={(event) => onDetail({ headFilm: event.currentTarget.value || null })}
      />
    </span>
  );
}

function WrenchControl({ setting: { joint, shelves }, worked, onChange, onDetail }: Omit<ControlProps, 'rung'>) {
  const choose = (value: string) => {
    onDetail({ wrenchByHand: value !== FROM_SHELF });
    if (value !== FROM_SHELF) onChange({ wrenchId: value });
  };
  const shelf = worked.choice.chosen ? `Shelf: ${worked.choice.chosen.name}` : 'Shelf: none fits';
  return (
    <NativeSelect
      aria-label="Wrench"
      data={[
        { value: FROM_SHELF, label: shelf },
        ...shelves.wrenches
          .filter(({ id, aside }) => aside === undefined || id === joint.wrenchId)
          .map(({ id, name }) => ({ value: id, label: name })),
      ]}
      value={joint.detail.wrenchByHand ? joint.wrenchId : FROM_SHELF}
      onChange={(event) => choose(event.currentTarget.value)}
    />
  );
}

/** What can be chosen on a rung, on the rung itself. */
function RungControl(props: ControlProps) {
  const { rung, setting, onChange } = props;
  if (rung.id === 'printed') return <span className={styles.quote}>{rung.working[0]?.formula}</span>;
  if (rung.id === 'range')
    return (
      <NativeSelect
        aria-label="A range becomes"
        data={[...RANGES]}
        value={setting.joint.rangeSchool}
        onChange={(event) => onChange({ rangeSchool: event.currentTarget.value as Joint['rangeSchool'] })}
      />
    );
  if (rung.id === 'film') return <FilmControl {...props} />;
  if (rung.id === 'wrench') return <WrenchControl {...props} />;
  const said: Partial<Record<RungId, string>> = {
    condition: 'not said on the page: see the margin',
    maker: rung.working[0]?.formula,
  };
  return <span className={styles.remark}>{said[rung.id] ?? rung.source}</span>;
}

interface Props extends Omit<ControlProps, 'rung'> {
  readonly worked: JointResult;
}

const NO_CLAMP = { nothing: 'no clamp load', 'beyond-steel': 'more than steel bears' } as const;

/** The ladder: printed figure at the bottom, a rung a change, the figure to set at the top. */
export function LadderView(props: Props) {
  const { worked, setting, onDetail } = props;
  const { ladder, wrench, guards } = worked;
  const { torque, significant, plain, unit } = useFigures();
  const [aside, setAside] = useState<RungId>();
  const caution = guards.map((guard) => guard.message).join(' ') || undefined;
  const top = ladder.rungs.at(-1);
  const turns = turnsOfLeaf(setting.leaf);
  const working = (rung: Rung) =>
    workingOfRung(rung, rung === top || rung.id === 'wrench' || rung.id === 'film' ? caution : undefined);
  const show = useShowWorking(ladder.rungs.map(working));
  const { overrides } = setting.joint.detail;
  const override = (id: RungId, next: Override | undefined) => {
    const rest = Object.fromEntries(Object.entries(overrides).filter(([rung]) => rung !== id));
    onDetail({ overrides: next ? { ...rest, [id]: next } : rest });
    setAside(undefined);
  };
  return (
    <div className={styles.ladder}>
      <div
        className={styles.top}
        data-off={!ladder.setting.onScale || undefined}
        tabIndex={0}
        {...(top && show(working(top)))}
        aria-live="polite"
      >
        <span className={styles.set}>Set the wrench to</span>
        <output className={styles.setting} data-testid="setting">
          {plain(ladder.setting.rounded)} <span className={styles.unit}>{wrench.unit}</span>
        </output>
        {turns.length > 0 && <span className={styles.turns}>then turn each {turnsWords(turns)} further</span>}
        <span className={styles.also}>
          delivers {torque(ladder.setting.achieved_Nm, 3, wrench.unit === unit ? otherUnitOf(unit) : unit)};{' '}
          {ladder.clamp === 'clamps'
            ? `clamp load ${significant(ladder.band.p50_N / 1000)} kN a fastener, ${significant(ladder.band.p5_N / 1000)} to ${significant(ladder.band.p95_N / 1000)} kN`
            : NO_CLAMP[ladder.clamp]}
        </span>
      </div>
      <ol className={styles.rungs} reversed>
        {[...ladder.rungs].reverse().map((rung) => (
          <li
            key={rung.id}
            className={styles.rung}
            data-rung={rung.id}
            data-aside={rung.override !== undefined || undefined}
            {...show(working(rung))}
          >
            <span className={styles.nameCell}>
              <button type="button" className={styles.name} data-working>
                {rung.title}
              </button>
              {OVERRULED.includes(rung.id) && (
                <button
                  type="button"
                  className={`text-button ${styles.act}`}
                  aria-expanded={aside === rung.id}
                  onClick={() =>
                    rung.override ? override(rung.id, undefined) : setAside(aside === rung.id ? undefined : rung.id)
                  }
                >
                  {rung.override ? 'Put back' : 'Leave out'}
                  <span className="only-spoken"> {rung.title}</span>
                </button>
              )}
            </span>
            <span className={styles.control}>
              {rung.override ? (
                <span className={styles.remark}>
                  {rung.override.value_Nm === null ? 'Taken out' : 'Overruled'}: {rung.override.reason}
                </span>
              ) : (
                <RungControl rung={rung} {...props} />
              )}
            </span>
            <span className={styles.factor}>
              {rung.factor === undefined || rung.id === 'unit' ? '' : `× ${significant(rung.factor, 4)}`}
            </span>
            <span className={styles.value}>
              {torque(rung.value_Nm, 4, rung.id === 'unit' ? otherUnitOf(unit) : unit)}
            </span>
            {aside === rung.id && (
              <SetAside rung={rung} onKeep={(next) => override(rung.id, next)} onLeave={() => setAside(undefined)} />
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
