'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Leaf } from '@/model/book/leaf';
import { newKind, ofOtherLeaf, ofOtherThread } from '@/model/joint/fastener-kind';
import type { FastenerKind } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import { usualFaceOf } from '@/model/joint/joint-result';
import { MAX_KINDS, ownPlaces } from '@/model/joint/kind-places';
import type { HousePractice } from '@/model/practice/house-practice';
import { tryCore } from '@/model/try-core';
import { DraftNote } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Notice } from '@/interface/parts/screen';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { Suggestions } from '@/interface/parts/suggestions';
import { kindLetter } from '@/interface/words/kind-words';
import { USUAL_THREADS } from '@/interface/words/usual-threads';
import { originalFilmFor } from './film-reason';
import { LeafChoice } from './leaf-choice';

interface Props {
  readonly joint: Joint;
  /** Entries of the book that give a torque. */
  readonly leaves: readonly Leaf[];
  readonly practice: HousePractice;
  /** The places that were pressed. */
  readonly picked: ReadonlySet<number>;
  readonly onPick: (picked: ReadonlySet<number>) => void;
  readonly onKinds: (kinds: readonly FastenerKind[]) => void;
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

/** Where the places go that were pressed: into a kind that there is, back among the joint’s own, or into one of their own. */
export function PutInKind({ joint, leaves, practice, picked, onPick, onKinds }: Props) {
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
