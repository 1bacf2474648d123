'use client';

import { NativeSelect } from '@mantine/core';
import { useDeferredValue, useMemo, useState } from 'react';
import type { PlannedStage } from '@/core/tightening';
import { evenness, type RoundWay } from '@/core/interaction';
import { drawnWords } from '@/interface/words/clamp-words';
import { framesOf } from '@/model/joint/clamp-left';
import type { ClampMapFacts } from '@/model/joint/clamp-map-facts';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { JointInputs } from '@/model/joint/joint-inputs';
import type { JointResult } from '@/model/joint/joint-result';
import { tryCore } from '@/model/try-core';
import { useFigures } from '@/interface/figures/preferences';
import { useOutside } from '@/interface/parts/use-outside';
import { Notice } from '@/interface/parts/screen';
import { begun, ClampMapInputs, isWhole, type Draft } from './clamp-map-inputs';
import { ClampPlayed } from './clamp-played';
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
      <ClampMapInputs draft={draft} joint={joint} round={round} onDraft={put} />
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
      <ClampPlayed
        joint={joint}
        frames={frames}
        turn={map.turn}
        at={Math.min(at ?? Infinity, frames.length)}
        onAt={setAt}
      />
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
