'use client';

import { NativeSelect } from '@mantine/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { threadNamed } from '@/core/thread';
import type { PlannedStage } from '@/core/tightening';
import { evenness, type RoundWay } from '@/core/interaction';
import { boltStiffness } from '@/model/joint/bolt-stiffness';
import { drawnWords } from '@/interface/words/clamp-words';
import { framesOf, type PassageFrame } from '@/model/joint/clamp-left';
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
import form from '@/interface/parts/form.module.css';
import { useOutside } from '@/interface/parts/use-outside';
import { MeasureField } from '@/interface/parts/measure-field';
import { Notice } from '@/interface/parts/screen';
import { ClampDrawing } from '@/interface/pattern/clamp-drawing';
import { mapOf, type AsPulled, type ClampWorks } from './clamp-works';
import { ClampScatterPart } from './clamp-scatter';
import { ClampSearchPart } from './clamp-search';
import type { WorkedKind } from './use-whole-joint';
import styles from './clamp-map-body.module.css';

export interface ClampMapProps {
  readonly setting: JointInputs;
  readonly worked: JointResult;
  readonly kinds: readonly WorkedKind[];
  /** The last round for good, as far as it was pulled. */
  readonly asPulled?: AsPulled;
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
  unloading: null,
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
      {number('Springs back stiffer, times', 'unloading', '1: it gives as much either way; 3 to 10 of a soft gasket')}
      {joint.pattern !== 'free' && number('Pitch, mm', 'pitch_mm', 'Between neighbours')}
      {number('Margin, mm', 'margin_mm', 'From the outermost to the edge; 20 stands typical', true)}
      {number('Fastener, N/mm', 'boltStiffness_N_per_mm', 'Known once its grip is')}
    </div>
  );
}

/** What the other nuts are doing: what is left in each as the plan goes on, and what would make it more even. */
export function ClampMapBody(props: ClampMapProps) {
  const { setting, onDetail } = props;
  const { joint } = setting;
  const [draft, setDraft] = useState<Draft>(() => begun(setting));
  const [round, setRound] = useState(0);
  const wrote = useOutside(joint.detail.clampMap, () => {
    setDraft(begun(setting));
    setRound((was) => was + 1);
  });
  const facts = useDeferredValue(draft);
  const put = (part: Partial<Draft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    if (!isWhole(next, joint)) return;
    wrote(next);
    onDetail({ clampMap: next });
  };
  return (
    <>
      <p className="soft">
        A nut that is pulled lets those beside it go a little. This is a picture of what to expect and no specification:
        no wrinkle of a gasket, no bow of a head and no sealant is in it.
      </p>
      <Inputs draft={draft} joint={joint} round={round} onDraft={put} />
      {!isWhole(draft, joint) && <p>It is drawn once each of these is said.</p>}
      {isWhole(facts, joint) && <ClampMapPart {...props} facts={facts} />}
    </>
  );
}

/** The map itself. It takes a moment to reckon, so that it is only while it is looked at. */
function ClampMapPart({
  setting,
  worked,
  kinds,
  asPulled,
  stageList,
  facts,
  onTake,
}: ClampMapProps & { readonly facts: ClampMapFacts }) {
  const { joint } = setting;
  const [at, setAt] = useState<number>();
  const [played, setPlayed] = useState<'plan' | 'pulled'>('plan');
  const { significant } = useFigures();
  const shown = useMemo(
    () => tryCore(() => mapOf({ setting, worked, kinds, stageList, facts })),
    [facts, setting, worked, kinds, stageList],
  );
  const pulled = useMemo(
    () => (shown.ok && asPulled ? tryCore(() => framesOf(shown.result.giving, asPulled)) : undefined),
    [shown, asPulled],
  );
  if (!shown.ok) return <Notice kind="stop">{shown.error.message}</Notice>;
  const map = shown.result;
  const isPulled = played === 'pulled' && pulled?.ok === true;
  const frames = isPulled ? pulled.result : map.frames;
  const last = frames.at(-1);
  return (
    <>
      {pulled?.ok && pulled.result.length > 0 && (
        <NativeSelect
          label="What is played"
          data={[
            { value: 'plan', label: 'The plan as it stands' },
            { value: 'pulled', label: 'The last round, as it was pulled' },
          ]}
          value={played}
          onChange={(event) => setPlayed(event.currentTarget.value === 'pulled' ? 'pulled' : 'plan')}
        />
      )}
      <Played joint={joint} frames={frames} turn={map.turn} at={Math.min(at ?? Infinity, frames.length)} onAt={setAt} />
      {last && <p>{significant(evenness(last.shares).variation_pct, 2)} % uneven at the end.</p>}
      {isPulled && asPulled && drawnWords(asPulled.drawn) && <p className="soft">{drawnWords(asPulled.drawn)}</p>}
      {kinds.length > 0 && (
        <p className="soft">
          Per cent of each one’s own final clamp load. Fasteners of another kind are taken to be as long as the joint’s
          own, and stiffer by as much as they have more metal.
        </p>
      )}
      {map.works && <Ways worked={worked} shown={map.works} setting={setting} stageList={stageList} onTake={onTake} />}
    </>
  );
}

interface WaysProps extends Pick<ClampMapProps, 'setting' | 'worked' | 'stageList' | 'onTake'> {
  readonly shown: ClampWorks;
}

/** Other ways at the side of the plan, the scatter, and the search. */
function Ways({ setting: { joint }, worked, stageList, shown, onTake }: WaysProps) {
  const { significant, kilonewtons } = useFigures();
  const turns = stageList.filter(({ turn }) => turn).length;
  return (
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
          {[{ name: 'The plan as it stands', even: shown.own }, ...shown.others].map(({ name, even }) => (
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
        Passes buy evenness, and above all a confirming round; the turn buys little. From the edge inwards the model may
        find it a little more even, for nuts that are pulled first lose most; it knows nothing of a gasket that has to
        spread outwards or a head that bows. The book’s turn stands.
        {turns > 0 && ' A stage by angle has no figure to pull to and is left out of these.'}
      </p>
      <ClampScatterPart worked={worked} shown={shown} />
      {turns === 0 && <ClampSearchPart joint={joint} shown={shown} onTake={onTake} />}
    </>
  );
}

interface PlayedProps {
  readonly joint: Joint;
  readonly frames: readonly PassageFrame[];
  readonly turn: readonly number[];
  readonly at: number;
  readonly onAt: (at: number) => void;
}

/** Pull by pull. */
function Played({ joint, frames, turn, at, onAt }: PlayedProps) {
  const frame = frames[at - 1];
  const shares = frame?.shares ?? turn.map(() => 0);
  const words = frame
    ? `After pull ${at} of ${frames.length}: number ${turn.indexOf(frame.place) + 1}, stage ${frame.stage + 1}`
    : 'Before the first pull';
  return (
    <div className={styles.played}>
      <ClampDrawing
        positions={positionsOf(joint)}
        shares={shares}
        pulled={frame?.place}
        label={`${words}. Left in each, per cent of its final clamp load: ${turn
          .map((place, i) => `${i + 1}: ${Math.round((shares[place] ?? 0) * 100)}`)
          .join(', ')}.`}
      />
      <p className="soft">{words}. Per cent of the middle of what its figure gives.</p>
      <p className={styles.keys}>
        <Button onClick={() => onAt(Math.max(0, at - 1))} disabled={at === 0}>
          A pull back
        </Button>
        <input
          className={styles.slide}
          type="range"
          aria-label="How far it has gone, in pulls"
          min={0}
          max={frames.length}
          value={at}
          onChange={(event) => onAt(Number(event.currentTarget.value))}
        />
        <Button onClick={() => onAt(Math.min(frames.length, at + 1))} disabled={at === frames.length}>
          The next pull
        </Button>
      </p>
    </div>
  );
}
