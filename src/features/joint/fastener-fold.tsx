'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import type { PracticeRow } from '@/model/practice/house-practice';
import { schoolWords } from '@/model/practice/practice-questions';
import { threadNamed } from '@/core/thread';
import { isDomainError } from '@/core/units';
import { fastenerWords, type FastenerFacts, type ParentFacts } from '@/model/joint/fastener-facts';
import type { JointDetail } from '@/model/joint/joint-detail';
import { originalFacts } from '@/model/joint/joint-ladder';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { Uses } from '@/model/joint/uses';
import { usesWords } from '@/interface/words/uses-words';
import { usualFaceOf } from '@/model/joint/joint-result';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import { fetchedPart } from '@/interface/parts/fetched-part';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { useCells } from '@/interface/parts/use-outside';
import type { JointChange } from './schema';
import { YesOrNo } from './yes-or-no';
import styles from './fastener-fold.module.css';

// Every fact of a fastener, with what is chosen from: no weight of a sheet whose fastener nobody opens.
const FastenerFields = fetchedPart(() => import('./fastener-fields').then((module) => module.FastenerFields));

interface Props {
  readonly setting: JointInputs;
  /** How often what is in the joint was pulled; of one kind of its fasteners it is not told. */
  readonly uses?: Uses;
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

/** How often what is in it was pulled, and the way to say that new ones are. */
function UsesLine({ uses, newAfter, onDetail }: Pick<Props, 'onDetail'> & UsesFacts) {
  const { count, lastBegun } = uses;
  if (count === 0 && newAfter === null) return null;
  return (
    <p className="soft">
      {usesWords(uses)}{' '}
      {lastBegun !== undefined && (
        <button type="button" className="text-button" onClick={() => onDetail({ newAfter: lastBegun })}>
          New ones are in
        </button>
      )}
      {count === 0 && (
        <button type="button" className="text-button" onClick={() => onDetail({ newAfter: null })}>
          They are not new
        </button>
      )}
    </p>
  );
}

interface UsesFacts {
  readonly uses: Uses;
  readonly newAfter: string | null;
}

const NONE = { value: '', label: 'Not known' };

/** Where the fastener sits: what it is tapped into, what it presses on, how deep and how long. */
function ParentFields({ setting, onDetail }: Omit<Props, 'onChange'>) {
  const { parent } = setting.joint.detail;
  const metals = [NONE, ...setting.shelves.metals.map(({ id, name }) => ({ value: id, label: name }))];
  const set = (part: Partial<ParentFacts>) => onDetail({ parent: { ...parent, ...part } });
  return (
    <div className={form.grid}>
      <NativeSelect
        className={form.double}
        label="Tapped into"
        data={metals}
        value={parent.metal ?? ''}
        onChange={(event) => set({ metal: event.currentTarget.value || null })}
      />
      <MeasureField
        label="Full engagement"
        value={parent.engagement_mm}
        onChange={(engagement_mm) => set({ engagement_mm })}
      />
      <MeasureField
        label="Depth of a blind hole"
        description="Full thread, from the face"
        value={parent.holeDepth_mm}
        onChange={(holeDepth_mm) => set({ holeDepth_mm })}
      />
      <MeasureField
        kind="number"
        label="How hot it gets there, °C"
        description="Light alloy holds less when hot"
        value={parent.hottest_C}
        onChange={(hottest_C) => set({ hottest_C })}
      />
      <NativeSelect
        className={form.double}
        label="The head presses on"
        data={metals}
        value={parent.underHead ?? ''}
        onChange={(event) => set({ underHead: event.currentTarget.value || null })}
      />
      <MeasureField
        label="Everything clamped"
        description="Washers and gasket with it"
        value={parent.grip_mm}
        onChange={(grip_mm) => set({ grip_mm })}
      />
      <MeasureField
        kind="number"
        label="Gasket a fastener, mm²"
        description="Or flange: what each presses flat"
        value={parent.gasketArea_mm2}
        onChange={(gasketArea_mm2) => set({ gasketArea_mm2 })}
      />
      {parent.gasketArea_mm2 !== null && (
        <MeasureField
          kind="number"
          label="What it bears, MPa"
          description="From its maker"
          value={parent.gasketLimit_MPa}
          onChange={(gasketLimit_MPa) => set({ gasketLimit_MPa })}
        />
      )}
      <label className={form.choice}>
        <input
          type="checkbox"
          checked={parent.holeThrough}
          onChange={(event) => set({ holeThrough: event.currentTarget.checked })}
        />
        <span>The hole goes through</span>
      </label>
      <YesOrNo
        label="Thread insert wound in?"
        description="Of wire, or a bush"
        said={parent.insert}
        onSaid={(insert) => set({ insert })}
      />
      {parent.insert && (
        <>
          <MeasureField
            label="Length of the insert"
            description="No more thread than this holds"
            value={parent.insertLength_mm}
            onChange={(insertLength_mm) => set({ insertLength_mm })}
          />
          <MeasureField
            kind="torque"
            zero
            label="Insert’s own torque, least"
            description="0 where it runs freely"
            value={parent.insertLow_Nm}
            onChange={(insertLow_Nm) => set({ insertLow_Nm })}
          />
          <MeasureField
            kind="torque"
            zero
            label="Insert’s own torque, most"
            value={parent.insertHigh_Nm}
            onChange={(insertHigh_Nm) => set({ insertHigh_Nm })}
          />
        </>
      )}
      <YesOrNo
        label="Near heat?"
        description="Head, exhaust"
        said={parent.nearHeat}
        onSaid={(nearHeat) => set({ nearHeat })}
      />
      <YesOrNo
        label="Can new ones move a bore?"
        description="Rods, mains"
        said={parent.boreMoves}
        onSaid={(boreMoves) => set({ boreMoves })}
      />
    </div>
  );
}

/** The figure of the fastener’s own maker, which overrules the manual for it. */
function MakerFields({ setting, onDetail }: Omit<Props, 'onChange'>) {
  const { maker } = setting.joint.detail;
  const { todayFilm } = setting.joint;
  const films = setting.shelves.films.map(({ id, name }) => ({ value: id, label: name }));
  const { cells, put, wrote } = useCells(maker, (one) => one ?? { text: '', film: todayFilm, source: '' });
  const { text, film, source } = cells;
  const keep = (next: JointDetail['maker']) => {
    wrote(next);
    onDetail({ maker: next });
  };
  const whole = text.trim() !== '' && source.trim() !== '';
  return (
    <div className={form.grid}>
      <TextInput
        label="Its maker’s own figure"
        description="As printed on the packet, with its unit"
        value={text}
        onChange={(event) => put({ text: event.currentTarget.value })}
      />
      <NativeSelect
        className={form.double}
        label="In which lubricant"
        data={films}
        value={film}
        onChange={(event) => put({ film: event.currentTarget.value })}
      />
      <TextInput
        label="Where it is printed"
        value={source}
        onChange={(event) => put({ source: event.currentTarget.value })}
      />
      <div className={form.acts}>
        <Button onClick={() => keep({ text: text.trim(), film, source: source.trim() })} disabled={!whole}>
          The maker’s figure overrules
        </Button>
        {maker && <Button onClick={() => keep(null)}>Back to the manual’s</Button>}
      </div>
    </div>
  );
}

const isThread = (designation: string) => {
  try {
    threadNamed(designation);
    return true;
  } catch (error) {
    if (isDomainError(error)) return false;
    throw error;
  }
};

/** What is bolted here: the original, a substitute if there is one, where it sits, and its maker’s own figure. */
export function FastenerFold({ setting, uses, onChange, onDetail }: Props) {
  const { joint, shelves } = setting;
  const { today } = joint.detail;
  const original = originalFacts(setting);
  const said = (row: PracticeRow) => schoolWords(shelves.practice, row).name;
  const grade = (id: string | null) =>
    id === null ? 'grade not known' : (shelves.grades.find((one) => one.id === id)?.name ?? id);
  const changeOriginal = (facts: FastenerFacts) => {
    const { thread, outer_mm, inner_mm, faceMeasured, ...rest } = facts;
    onChange({
      thread,
      bearingOuter_mm: outer_mm,
      bearingInner_mm: inner_mm,
      bearingMeasured: faceMeasured,
    });
    onDetail({ original: rest });
  };
  const withFace = (facts: FastenerFacts): FastenerFacts => {
    if (facts.faceMeasured || !isThread(facts.thread)) return facts;
    const face = usualFaceOf(facts.thread);
    return { ...facts, outer_mm: face.outer_mm, inner_mm: face.inner_mm };
  };
  const line = today
    ? `${original.thread} → ${fastenerWords(today)}, ${grade(today.grade)}`
    : `${fastenerWords(original)}, ${grade(original.grade)}`;
  return (
    <Disclosure title="The fastener" line={line}>
      <p className="soft">
        House practice: studs {said('seating')}; locking by {said('locking')}; nuts and bolts {said('reuse')}.
      </p>
      {uses && <UsesLine uses={uses} newAfter={setting.joint.detail.newAfter} onDetail={onDetail} />}
      <h3 className={styles.heading}>As the designer had it</h3>
      <FastenerFields
        label="original"
        facts={original}
        shelves={shelves}
        onChange={(facts) => changeOriginal(withFace(facts))}
      />
      <h3 className={styles.heading}>On it today</h3>
      {today ? (
        <>
          <FastenerFields
            label="substitute"
            facts={today}
            shelves={shelves}
            substitute
            onChange={(facts) => onDetail({ today: withFace(facts) })}
          />
          <p>
            <Button onClick={() => onDetail({ today: null })}>The original after all</Button>
          </p>
        </>
      ) : (
        <p>
          The original, or one like it in every way.{' '}
          <Button onClick={() => onDetail({ today: { ...original, socket: 'not-tried' } })}>A substitute</Button>
        </p>
      )}
      <h3 className={styles.heading}>Where it sits</h3>
      <ParentFields setting={setting} onDetail={onDetail} />
      <h3 className={styles.heading}>Its maker</h3>
      <MakerFields setting={setting} onDetail={onDetail} />
    </Disclosure>
  );
}
