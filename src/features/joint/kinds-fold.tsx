'use client';

import { useState } from 'react';
import type { PlannedStage } from '@/core/tightening';
import type { Leaf } from '@/model/book/leaf';
import type { FastenerKind, JointDetail } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import { positionsOf, turnOf } from '@/model/joint/joint-shape';
import { ownPlaces } from '@/model/joint/kind-places';
import type { HousePractice } from '@/model/practice/house-practice';
import { tryCore } from '@/model/try-core';
import { Disclosure } from '@/interface/parts/disclosure';
import { PlacePicker } from '@/interface/pattern/place-picker';
import { kindLetter, lettersOf } from '@/interface/words/kind-words';
import { OtherName } from './kind-name';
import { KindsTogether } from './kinds-together';
import { PutInKind } from './put-in-kind';

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
      <PutInKind joint={joint} leaves={leaves} practice={practice} picked={picked} onPick={setPicked} onKinds={keep} />
      {kinds.length > 0 && (
        <KindsTogether key={kinds.map(({ name }) => name).join()} joint={joint} stages={stages} onDetail={onDetail} />
      )}
    </Disclosure>
  );
}
