'use client';

import { NativeSelect } from '@mantine/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { threadNamed } from '@/core/thread';
import type { PlannedStage } from '@/core/tightening';
import type { RoundWay } from '@/core/interaction';
import { boltStiffness, targetsOf } from '@/model/joint/clamp-map';
import { GASKETS, HEADS, type ClampMapFacts } from '@/model/joint/clamp-map-facts';
import type { JointDetail } from '@/model/joint/joint-detail';
import { todayFacts } from '@/model/joint/joint-ladder';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { positionsOf } from '@/model/joint/joint-shape';
import type { Joint } from '@/model/joint/joint';
import { tryCore } from '@/model/try-core';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { useOutside } from '@/interface/parts/use-outside';
import { MeasureField } from '@/interface/parts/measure-field';
import { Notice } from '@/interface/parts/screen';
import { ClampDrawing } from '@/interface/pattern/clamp-drawing';
import { worksOf, type ClampWorks } from './clamp-works';
import { ClampScatterPart } from './clamp-scatter';
import { ClampSearchPart } from './clamp-search';
import styles from './clamp-map-fold.module.css';

interface Props {
  readonly setting: JointInputs;
  readonly worked: JointResult;
  readonly stageList: readonly PlannedStage[];
  readonly onDetail: (part: Partial<JointDetail>) => void;
  /** Takes the stages of a way that was found. */
  readonly onTake: (way: RoundWay) => void;
}

/** Facts as they stand in their fields: what nobody said yet is null. */
type Draft = { readonly [Field in keyof ClampMapFacts]: ClampMapFacts[Field] | null };

const TYPICAL_MARGIN_MM = 20;
const NOTHING: Draft = {
  head: null,
  gasket: null,
  E_GPa: null,
  poisson: null,
  depth_mm: null,
  solid: null,
  foundation_N_per_mm3: null,
  pitch_mm: null,
  margin_mm: TYPICAL_MARGIN_MM,
  boltStiffness_N_per_mm: null,
};

/** Whether all is said; of a joint in no pattern its places say how far they lie apart. */
const isWhole = (draft: Draft, { pattern }: Pick<Joint, 'pattern'>): draft is ClampMapFacts =>
  Object.entries(draft).every(([field, value]) => value !== null || (field === 'pitch_mm' && pattern === 'free'));

/** What is known already stands in its field: the stiffness of a fastener whose grip was measured. */
function begun(setting: JointInputs): Draft {
  const { joint } = setting;
  if (joint.detail.clampMap) return joint.detail.clampMap;
  const { grip_mm } = joint.detail.parent;
  const thread = tryCore(() => threadNamed(todayFacts(setting).thread));
  return {
    ...NOTHING,
    boltStiffness_N_per_mm:
      grip_mm !== null && thread.ok
        ? Math.round(boltStiffness(thread.result.stressArea_mm2, grip_mm, thread.result.major_mm) / 1000) * 1000
        : null,
  };
}

const CHOOSE = { value: '', label: 'Choose…' };

interface InputProps {
  readonly draft: Draft;
  readonly joint: Joint;
  /** How often it was begun anew: its cells then show what stands. */
  readonly round: number;
  readonly onDraft: (part: Partial<Draft>) => void;
}

/** What the model is given, each on view and to be changed. */
function Inputs({ draft, joint, round, onDraft }: InputProps) {
  const number = (label: string, field: keyof Draft, description?: string, zero = false) => (
    <MeasureField
      key={`${field} ${draft.head} ${draft.gasket} ${round}`}
      kind="number"
      zero={zero}
      label={label}
      description={description}
      value={draft[field] as number | null}
      onChange={(value) => onDraft({ [field]: value })}
    />
  );
  return (
    <div className={form.grid}>
      <NativeSelect
        className={form.double}
        label="What is clamped"
        description="Its figures stand below, and stand typical"
        data={[CHOOSE, ...HEADS.map(({ id, name }) => ({ value: id, label: name }))]}
        value={draft.head ?? ''}
        onChange={(event) => {
          const preset = HEADS.find(({ id }) => id === event.currentTarget.value);
          if (preset) onDraft({ head: preset.id, ...preset.facts });
        }}
      />
      <NativeSelect
        className={form.double}
        label="On what it lies"
        data={[CHOOSE, ...GASKETS.map(({ id, name }) => ({ value: id, label: name }))]}
        value={draft.gasket ?? ''}
        onChange={(event) => {
          const preset = GASKETS.find(({ id }) => id === event.currentTarget.value);
          if (preset) onDraft({ gasket: preset.id, ...preset.facts });
        }}
      />
      {number('Modulus E, GPa', 'E_GPa')}
      {number('Poisson’s ratio', 'poisson')}
      {number('Depth, mm', 'depth_mm')}
      {number('Solid share', 'solid', 'Of its bending stiffness: 1 is solid')}
      {number('Bedding, N/mm³', 'foundation_N_per_mm3', 'Gasket and block together')}
      {joint.pattern !== 'free' && number('Pitch, mm', 'pitch_mm', 'Between neighbours')}
      {number('Margin, mm', 'margin_mm', 'From the outermost to the edge; 20 stands typical', true)}
      {number('Fastener, N/mm', 'boltStiffness_N_per_mm', 'Known once its grip is')}
    </div>
  );
}

/** What the other nuts are doing: what is left in each as the plan goes on, and what would make it more even. */
export function ClampMapFold({ setting, worked, stageList, onDetail, onTake }: Props) {
  const { joint } = setting;
  const [draft, setDraft] = useState<Draft>(() => begun(setting));
  const [round, setRound] = useState(0);
  const wrote = useOutside(joint.detail.clampMap, () => {
    setDraft(begun(setting));
    setRound((was) => was + 1);
  });
  const [at, setAt] = useState<number>();
  const { significant, kilonewtons } = useFigures();
  const { band, prevailing_Nm } = worked.ladder;
  const facts = useDeferredValue(draft);
  const shown = useMemo(() => {
    if (!isWhole(facts, joint)) return undefined;
    return tryCore(() => worksOf(joint, facts, targetsOf(stageList, { final_N: band.p50_N, prevailing_Nm })));
  }, [facts, joint, stageList, band.p50_N, prevailing_Nm]);
  const put = (part: Partial<Draft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    if (!isWhole(next, joint)) return;
    wrote(next);
    onDetail({ clampMap: next });
  };
  const turns = stageList.filter(({ turn }) => turn).length;
  const last = shown?.ok ? shown.result.own : undefined;
  return (
    <Disclosure
      title="What the other nuts are doing"
      line={last ? `${significant(last.variation_pct, 2)} % uneven at the end, by the model` : 'not looked at'}
    >
      <p className="soft">
        A nut that is pulled lets those beside it go a little. This is a picture of what to expect and no specification:
        no wrinkle of a gasket, no bow of a head and no sealant is in it.
      </p>
      <Inputs draft={draft} joint={joint} round={round} onDraft={put} />
      {!isWhole(draft, joint) && <p>It is drawn once each of these is said.</p>}
      {shown && !shown.ok && <Notice kind="stop">{shown.error.message}</Notice>}
      {shown?.ok && last && (
        <Played
          joint={joint}
          shown={shown.result}
          at={Math.min(at ?? Infinity, shown.result.map.frames.length)}
          onAt={setAt}
        />
      )}
      {shown?.ok && last && (
        <>
          <table className={styles.ways}>
            <caption className="only-spoken">How even the clamp load is left</caption>
            <thead>
              <tr>
                <th scope="col">Way</th>
                <th scope="col">Least</th>
                <th scope="col">Mean</th>
                <th scope="col">Uneven by</th>
              </tr>
            </thead>
            <tbody>
              {[{ name: 'The plan as it stands', even: last }, ...shown.result.others].map(({ name, even }) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  <td className="figure">{kilonewtons(even.least_N)}</td>
                  <td className="figure">{kilonewtons(even.mean_N)}</td>
                  <td className="figure">{significant(even.variation_pct, 2)} %</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            Passes buy evenness, and above all a confirming round; the turn buys little. From the edge inwards the model
            may find it a little more even, for nuts that are pulled first lose most; it knows nothing of a gasket that
            has to spread outwards or a head that bows. The book’s turn stands.
            {turns > 0 && ' A stage by angle has no figure to pull to and is left out.'}
          </p>
          <ClampScatterPart worked={worked} shown={shown.result} />
          {turns === 0 && <ClampSearchPart joint={joint} shown={shown.result} onTake={onTake} />}
        </>
      )}
    </Disclosure>
  );
}

interface PlayedProps {
  readonly joint: Joint;
  readonly shown: ClampWorks;
  readonly at: number;
  readonly onAt: (at: number) => void;
}

/** The plan pull by pull. */
function Played({ joint, shown: { map, turn }, at, onAt }: PlayedProps) {
  const { kilonewtons } = useFigures();
  const frame = map.frames[at - 1];
  const shares = turn.map((_, place) => (frame?.forces_N[place] ?? 0) / map.target_N);
  const words = frame
    ? `After pull ${at} of ${map.frames.length}: number ${turn.indexOf(frame.place) + 1}, stage ${frame.pass + 1}`
    : 'Before the first pull';
  return (
    <div className={styles.played}>
      <ClampDrawing
        positions={positionsOf(joint)}
        shares={shares}
        pulled={frame?.place}
        label={`${words}. Left in each, per cent of the final ${kilonewtons(map.target_N)}: ${turn
          .map((place, i) => `${i + 1}: ${Math.round((shares[place] ?? 0) * 100)}`)
          .join(', ')}.`}
      />
      <p className="soft">
        {words}. Per cent of {kilonewtons(map.target_N)}, the middle of what the figure gives.
      </p>
      <p className={styles.keys}>
        <Button onClick={() => onAt(Math.max(0, at - 1))} disabled={at === 0}>
          A pull back
        </Button>
        <input
          className={styles.slide}
          type="range"
          aria-label="How far the plan has gone, in pulls"
          min={0}
          max={map.frames.length}
          value={at}
          onChange={(event) => onAt(Number(event.currentTarget.value))}
        />
        <Button onClick={() => onAt(Math.min(map.frames.length, at + 1))} disabled={at === map.frames.length}>
          The next pull
        </Button>
      </p>
    </div>
  );
}
