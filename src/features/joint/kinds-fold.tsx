'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { KindTurn, PlannedStage } from '@/core/tightening';
import type { Leaf } from '@/model/book/leaf';
import { newKind, ofOtherLeaf, ofOtherThread } from '@/model/joint/fastener-kind';
import type { FastenerKind, JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import { usualFaceOf } from '@/model/joint/joint-result';
import { positionsOf, turnOf } from '@/model/joint/joint-shape';
import { MAX_KINDS, ownPlaces } from '@/model/joint/kind-places';
import type { HousePractice } from '@/model/practice/house-practice';
import { tryCore } from '@/model/try-core';
import { DraftNote } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { Notice } from '@/interface/parts/screen';
import { useOutside } from '@/interface/parts/use-outside';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { Suggestions } from '@/interface/parts/suggestions';
import { PlacePicker } from '@/interface/pattern/place-picker';
import {
  KIND_TURN_CHOICES,
  kindLetter,
  kindSequenceText,
  lettersOf,
  readKindSequence,
} from '@/interface/words/kind-words';
import { USUAL_THREADS } from '@/interface/words/usual-threads';
import { originalFilmFor } from './film-reason';
import { OtherName } from './kind-name';

interface Props {
  readonly joint: Joint;
  /** Entries of the book that give a torque. */
  readonly leaves: readonly Leaf[];
  readonly practice: HousePractice;
  /** The stages of each kind, the joint's own first; empty where they are not known. */
  readonly stages: readonly (readonly PlannedStage[])[];
  readonly onDetail: (part: Partial<JointDetail>) => void;
  /** Shows the figure of a kind. */
  readonly onShow: (kind: number | undefined) => void;
}

const NEW = 'new';
const OWN = 'own';

/** Places taken from wherever they were, and put into one kind; a kind that is left with none is gone. */
const moved = (
  kinds: readonly FastenerKind[],
  picked: ReadonlySet<number>,
  into: number | undefined,
): readonly FastenerKind[] =>
  kinds
    .map((kind, i) => ({
      ...kind,
      places: [...kind.places.filter((place) => !picked.has(place)), ...(i === into ? picked : [])].sort(
        (a, b) => a - b,
      ),
    }))
    .filter(({ places }) => places.length > 0);

/** How the kinds come up together: by stages, in one turn, or as typed. */
function Together({ joint, stages, onDetail }: Pick<Props, 'joint' | 'stages' | 'onDetail'>) {
  const { kinds, kindTurn, kindSequence } = joint.detail;
  const begun = kindSequence.length > 0 ? kindSequence : stages.flatMap((own, at) => own.map(() => at));
  const [text, setText] = useState(kindSequenceText(begun));
  const wrote = useOutside(kindSequenceText(kindSequence), (kept) => setText(kept || kindSequenceText(begun)));
  const read = readKindSequence(text, kinds.length + 1);
  const counts = stages.map((own, at) => `${kindLetter(at)} ${own.length}`).join(', ');
  const wrong =
    'unread' in read ? `“${read.unread}” is no kind: they are A to ${kindLetter(kinds.length)}.` : undefined;
  return (
    <div className={form.grid}>
      <NativeSelect
        className={form.double}
        label="They come up together"
        description={KIND_TURN_CHOICES.find(({ value }) => value === kindTurn)?.why}
        data={KIND_TURN_CHOICES.map(({ value, label }) => ({ value, label }))}
        value={kindTurn}
        onChange={(event) => {
          const how = event.currentTarget.value as KindTurn;
          if (how === 'as-typed') wrote(kindSequenceText(begun));
          onDetail({ kindTurn: how, ...(how === 'as-typed' && { kindSequence: begun }) });
        }}
      />
      {kindTurn === 'as-typed' && (
        <TextInput
          className={form.double}
          label="Kind after kind"
          description={`The second time a letter comes is its second stage. Stages: ${counts}`}
          value={text}
          error={wrong}
          maxLength={300}
          onChange={(event) => {
            const typed = event.currentTarget.value;
            setText(typed);
            const next = readKindSequence(typed, kinds.length + 1);
            if ('unread' in next) return;
            wrote(kindSequenceText(next));
            onDetail({ kindSequence: next });
          }}
        />
      )}
    </div>
  );
}

/** Where the places go that were pressed: into a kind that there is, back among the joint’s own, or into one of their own. */
function PutThere({
  joint,
  leaves,
  practice,
  picked,
  onPick,
  onKinds,
}: Pick<Props, 'joint' | 'leaves' | 'practice'> & {
  readonly picked: ReadonlySet<number>;
  readonly onPick: (picked: ReadonlySet<number>) => void;
  readonly onKinds: (kinds: readonly FastenerKind[]) => void;
}) {
  const { kinds } = joint.detail;
  const [chosen, setInto] = useState(NEW);
  const [name, setName] = useState('');
  const ownThread = joint.detail.today?.thread ?? joint.thread;
  const [thread, setThread] = useState(ownThread);
  const [leafId, setLeaf] = useState(joint.leafId);
  const nothing = { picked: [] as readonly number[], name: '', thread: ownThread, leafId: joint.leafId };
  const draft = useTableDraft({
    name: 'kind',
    values: { picked: [...picked], name, thread, leafId },
    onDisk: nothing,
    id: undefined,
    restore: (said) => {
      onPick(new Set(said.picked.filter((place) => place < joint.fasteners)));
      setName(said.name);
      setThread(said.thread);
      setLeaf(leaves.some(({ id }) => id === said.leafId) ? said.leafId : joint.leafId);
    },
  });
  const into = chosen === OWN || kinds[Number(chosen)] ? chosen : NEW;
  const face = tryCore(() => usualFaceOf(thread));
  const isNamed = kinds.some((kind) => kind.name.trim().toLowerCase() === name.trim().toLowerCase());
  const isAll = into !== OWN && picked.size > 0 && ownPlaces(joint).every((place) => picked.has(place));
  const isReady =
    picked.size > 0 &&
    !isAll &&
    (into !== NEW || (name.trim() !== '' && !isNamed && face.ok && kinds.length < MAX_KINDS));
  /** A new kind of the places that were pressed, with the entry and the thread that were said. */
  const made = (): FastenerKind => {
    const places = [...picked].sort((a, b) => a - b);
    const alike = newKind(joint, name.trim(), places);
    const kind = face.ok && thread.trim() !== ownThread ? ofOtherThread(alike, thread.trim(), face.result) : alike;
    const leaf = leaves.find(({ id }) => id === leafId);
    return leaf && leafId !== joint.leafId
      ? ofOtherLeaf(kind, leafId, originalFilmFor(leaf.conditionText, practice))
      : kind;
  };
  const put = () => {
    const rest = moved(kinds, picked, into === NEW || into === OWN ? undefined : Number(into));
    onKinds(into === NEW ? [...rest, made()] : rest);
    setName('');
    setThread(ownThread);
    setLeaf(joint.leafId);
  };
  return (
    <div className={form.grid}>
      <DraftNote draft={draft} />
      {kinds.length > 0 && (
        <NativeSelect
          label="They are"
          data={[
            { value: NEW, label: 'a kind of their own' },
            ...kinds.map((kind, i) => ({ value: String(i), label: `${kindLetter(i + 1)} ${kind.name}` })),
            { value: OWN, label: `${kindLetter(0)} the joint’s own` },
          ]}
          value={into}
          onChange={(event) => setInto(event.currentTarget.value)}
        />
      )}
      {into === NEW && (
        <>
          <TextInput
            label="What they are called"
            description="Short studs, outer bolts"
            maxLength={60}
            value={name}
            error={isNamed && 'A kind of that name is there.'}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <TextInput
            label="Their thread"
            description="3/8 BSF, M8, 7/16 UNF"
            list="threads-of-kinds"
            maxLength={40}
            value={thread}
            error={face.ok ? undefined : face.error.message}
            onChange={(event) => setThread(event.currentTarget.value)}
          />
          <Suggestions id="threads-of-kinds" words={USUAL_THREADS} />
          <LeafChoice leaves={leaves} value={leafId} onChange={setLeaf} />
        </>
      )}
      <div className={form.acts}>
        <Button onClick={put} disabled={!isReady}>
          {picked.size === 0
            ? 'Press the places first'
            : picked.size === 1
              ? 'Put the one there'
              : `Put the ${picked.size} there`}
        </Button>
        {isAll && <Notice kind="wait">Leave some to the joint’s own.</Notice>}
      </div>
    </div>
  );
}

const FORMS = ['kind'];

/** Which fasteners are larger, longer or of another sort: each kind gets a figure of its own. */
export function KindsFold({ joint, leaves, practice, stages, onDetail, onShow }: Props) {
  const { kinds } = joint.detail;
  const found = tryCore(() => ({ positions: positionsOf(joint), turn: turnOf(joint) }));
  const [picked, setPicked] = useState<ReadonlySet<number>>(new Set());
  if (!found.ok) return null;
  const { positions, turn } = found.result;
  const letters = lettersOf(positions.length, kinds);
  const numbersOf = (places: readonly number[]) =>
    places
      .map((place) => turn.indexOf(place) + 1)
      .sort((a, b) => a - b)
      .join(', ');
  const keep = (next: readonly FastenerKind[]) => {
    // An order of kinds that was typed is of the kinds there were.
    onDetail({ kinds: next, kindSequence: [], ...(joint.detail.kindTurn === 'as-typed' && { kindTurn: 'by-stage' }) });
    setPicked(new Set());
    onShow(undefined);
  };
  const line =
    kinds.length === 0
      ? 'all alike'
      : [
          `${kindLetter(0)} ${ownPlaces(joint).length}`,
          ...kinds.map((kind, i) => `${kindLetter(i + 1)} ${kind.places.length} ${kind.name}`),
        ].join('; ');
  return (
    <Disclosure title="Fasteners of other kinds" line={line} forms={FORMS}>
      <p>
        Where some are larger, longer or of another sort than the rest, press them, and say what they are called. They
        get a figure of their own, shown under their name above the ladder.
      </p>
      {kinds.length > 0 && (
        <ul className="points">
          {kinds.map((kind, i) => (
            <li key={kind.name}>
              <b>
                {kindLetter(i + 1)} {kind.name}
              </b>
              : {numbersOf(kind.places)}{' '}
              <button type="button" className="text-button" onClick={() => onShow(i)}>
                Its figure<span className="only-spoken"> of {kind.name}</span>
              </button>{' '}
              <OtherName
                name={kind.name}
                others={kinds.flatMap(({ name }, other) => (other === i ? [] : [name]))}
                onName={(name) =>
                  onDetail({ kinds: kinds.map((one, other) => (other === i ? { ...one, name } : one)) })
                }
              />{' '}
              <button
                type="button"
                className="text-button"
                onClick={() => keep(kinds.filter((_, other) => other !== i))}
              >
                Back among the joint’s own<span className="only-spoken">: {kind.name}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <PlacePicker
        positions={positions}
        label="The places, to be pressed where the fastener is of another kind"
        textOf={(place) => `${turn.indexOf(place) + 1}`}
        captionOf={letters && ((place) => letters[place] ?? '')}
        nameOf={(place) => `Fastener number ${turn.indexOf(place) + 1}${letters ? `, ${letters[place] ?? ''}` : ''}`}
        isPicked={(place) => picked.has(place)}
        onPick={(place) =>
          setPicked((before) =>
            before.has(place) ? new Set([...before].filter((one) => one !== place)) : new Set([...before, place]),
          )
        }
      />
      <PutThere joint={joint} leaves={leaves} practice={practice} picked={picked} onPick={setPicked} onKinds={keep} />
      {kinds.length > 0 && (
        <Together key={kinds.map(({ name }) => name).join()} joint={joint} stages={stages} onDetail={onDetail} />
      )}
    </Disclosure>
  );
}

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
