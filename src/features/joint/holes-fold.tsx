'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { HOLE_ENDS, HOLE_MEETS, HOLE_THREADS, type Hole } from '@/model/joint/hole';
import { positionsOf, turnOf } from '@/model/joint/joint-shape';
import type { Joint } from '@/model/joint/joint';
import type { JointDetail } from '@/model/joint/joint-detail';
import { tryCore } from '@/model/try-core';
import { useLengths } from '@/interface/figures/preferences';
import { DraftNote } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Notice } from '@/interface/parts/screen';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { useReadCells } from '@/interface/parts/use-read-cells';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { PlacePicker } from '@/interface/pattern/place-picker';
import { HOLE_END_CHOICES, HOLE_MEETS_CHOICES, HOLE_THREAD_CHOICES, holeWords } from '@/interface/words/hole-words';

interface Props {
  readonly joint: Joint;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

type Said = Omit<Hole, 'place'>;

const NOTHING = { value: '', label: 'Choose…' };

const among = <T extends string>(list: readonly T[], value: string): T | undefined => list.find((one) => one === value);

/** Holes that are alike, by what is said of them, each with its places. */
function alike(holes: readonly Hole[]): readonly (readonly [Said, readonly number[]])[] {
  const groups = new Map<string, [Said, number[]]>();
  for (const { place, ...said } of holes) {
    const key = JSON.stringify(said);
    const group = groups.get(key);
    if (group) group[1].push(place);
    else groups.set(key, [said, [place]]);
  }
  return [...groups.values()];
}

interface HalfSaid {
  readonly picked: readonly number[];
  readonly end?: Hole['end'];
  readonly meets?: Hole['meets'];
  readonly thread?: Hole['thread'];
  readonly depth_mm: number | null;
  readonly isClear: boolean;
}

const NONE: HalfSaid = { picked: [], depth_mm: null, isClear: false };
const FORMS = ['holes'];

interface SaidProps extends Pick<Props, 'onDetail'> {
  readonly holes: readonly Hole[];
  readonly size: (mm: number) => string;
  readonly numbers: (places: readonly number[]) => string;
}

/** What was said of holes so far, those that are alike in one line. */
const SaidHoles = ({ holes, size, numbers, onDetail }: SaidProps) => (
  <ul className="points">
    {alike(holes).map(([said, places]) => (
      <li key={JSON.stringify(said)}>
        <b>{numbers(places)}</b>: {holeWords(said, size)}{' '}
        <button
          type="button"
          className="text-button"
          onClick={() => onDetail({ holes: holes.filter(({ place }) => !places.includes(place)) })}
        >
          Not looked at after all<span className="only-spoken">: {numbers(places)}</span>
        </button>
      </li>
    ))}
  </ul>
);

/** The holes, before the first bolt goes in: pressed where they are alike, and said what they are. */
export function HolesFold({ joint, onDetail }: Props) {
  const { holes } = joint.detail;
  const { size } = useLengths(true);
  const found = tryCore(() => ({ positions: positionsOf(joint), turn: turnOf(joint) }));
  const [picked, setPicked] = useState<ReadonlySet<number>>(new Set());
  const [end, setEnd] = useState<Hole['end']>();
  const [meets, setMeets] = useState<Hole['meets']>();
  const [thread, setThread] = useState<Hole['thread']>();
  const [depth_mm, setDepth] = useState<number | null>(null);
  const [isClear, setClear] = useState(false);
  const [kept, setKept] = useState(0);
  const { part, ifRead, unread } = useReadCells();
  const draft = useTableDraft({
    name: 'holes',
    // What holes are stays chosen for the next ones, and is nothing by itself.
    values:
      picked.size === 0 && depth_mm === null ? NONE : { picked: [...picked], end, meets, thread, depth_mm, isClear },
    onDisk: NONE,
    id: undefined,
    restore: (said) => {
      setPicked(new Set(said.picked.filter((place) => place < joint.fasteners)));
      setEnd(said.end);
      setMeets(said.meets);
      setThread(said.thread);
      setDepth(said.depth_mm);
      setClear(said.isClear);
      setKept((was) => was + 1);
    },
  });
  if (!found.ok) return null;
  const { positions, turn } = found.result;
  const numbers = (places: readonly number[]) =>
    places
      .map((place) => turn.indexOf(place) + 1)
      .sort((a, b) => a - b)
      .join(', ');
  const left = positions.length - holes.length;
  const keep = () => {
    if (!end || !meets || !thread) return;
    const fresh = [...picked]
      .sort((a, b) => a - b)
      .map((place): Hole => ({ place, end, meets, thread, isClear, depth_mm: end === 'blind' ? depth_mm : null }));
    onDetail({ holes: [...holes.filter(({ place }) => !picked.has(place)), ...fresh] });
    setPicked(new Set());
    setDepth(null);
    setKept((was) => was + 1);
  };
  return (
    <Disclosure
      title="The holes, before the first bolt"
      line={
        holes.length === 0
          ? 'not looked at'
          : left === 0
            ? 'all looked at'
            : `${left} of ${positions.length} not looked at`
      }
      forms={FORMS}
    >
      <DraftNote draft={draft} />
      {holes.length > 0 && <SaidHoles holes={holes} size={size} numbers={numbers} onDetail={onDetail} />}
      <p>Press the holes that are alike; they have the numbers of the order. Those that were looked at are marked.</p>
      <PlacePicker
        positions={positions}
        label="The holes, to be pressed where they are alike"
        textOf={(place) => `${turn.indexOf(place) + 1}`}
        captionOf={(place) => (holes.some((hole) => hole.place === place) ? '✓' : '')}
        nameOf={(place) => `Hole of number ${turn.indexOf(place) + 1}`}
        isPicked={(place) => picked.has(place)}
        onPick={(place) =>
          setPicked((before) =>
            before.has(place) ? new Set([...before].filter((one) => one !== place)) : new Set([...before, place]),
          )
        }
      />
      <div className={form.grid} ref={part}>
        <NativeSelect
          label="Its end"
          data={[NOTHING, ...HOLE_END_CHOICES]}
          value={end ?? ''}
          onChange={(event) => setEnd(among(HOLE_ENDS, event.currentTarget.value))}
        />
        <NativeSelect
          label="What it reaches"
          data={[NOTHING, ...HOLE_MEETS_CHOICES]}
          value={meets ?? ''}
          onChange={(event) => setMeets(among(HOLE_MEETS, event.currentTarget.value))}
        />
        <NativeSelect
          label="Its thread"
          data={[NOTHING, ...HOLE_THREAD_CHOICES]}
          value={thread ?? ''}
          onChange={(event) => setThread(among(HOLE_THREADS, event.currentTarget.value))}
        />
        {end === 'blind' && (
          <MeasureField
            key={kept}
            kind="length"
            label="Full thread from the face"
            description="Empty where nobody measured it"
            value={depth_mm}
            onChange={setDepth}
          />
        )}
        <label className={form.choice}>
          <input type="checkbox" checked={isClear} onChange={(event) => setClear(event.currentTarget.checked)} />
          <span>Dry and clean down to its end</span>
        </label>
        <div className={form.acts}>
          <Button onClick={() => ifRead(keep)} disabled={picked.size === 0 || !end || !meets || !thread}>
            {picked.size > 1 ? `So are ${picked.size} holes` : 'So it is'}
          </Button>
        </div>
        {unread && (
          <div className={form.wide}>
            <Notice kind="stop">{unread}</Notice>
          </div>
        )}
      </div>
    </Disclosure>
  );
}
