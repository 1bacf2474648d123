'use client';

import { NativeSelect, Textarea, TextInput } from '@mantine/core';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { REMEDIES, type RemedyId } from '@/core/fits';
import type { FitLine } from '@/model/fit/fit';
import { isHolding, type FitState, type FitPlace } from '@/model/fit/place-state';
import { Button } from '@/interface/parts/button';
import styles from './places.module.css';

interface Props {
  readonly judged: FitState;
  readonly place: FitPlace;
  readonly add: (line: FitLine) => void;
  readonly onDone: () => void;
}

type Act = Pick<Props, 'place' | 'add' | 'onDone'>;

const stamp = () => ({ id: nanoid(), at: new Date().toISOString() });

/** Takes a place that is inside its hard limits as it is, with a reason; asked again before it is closed up. */
function Accept({ place, add, onDone }: Act) {
  const [reason, setReason] = useState('');
  const keep = () => {
    add({ ...stamp(), kind: 'accept', place: place.place, body: { reason: reason.trim() } });
    onDone();
  };
  return (
    <div className={styles.act}>
      <Textarea
        label="Why it is accepted"
        description="Printed in the record, and asked again before it is closed up"
        autosize
        minRows={1}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <Button onClick={keep} disabled={reason.trim().length < 3}>
        Accept it
      </Button>
    </div>
  );
}

/** What is done about it; the readings that it touches are to be taken again, and the old ones stay beneath. */
function Remedies({ judged: { kind }, place, add, onDone }: Props) {
  // Filing opens a gap: of one that is too wide already it makes scrap.
  const remedies = kind.remedies.filter((id) => id !== 'file' || place.result.verdict !== 'loose');
  const [remedy, setRemedy] = useState<RemedyId>(remedies[0] ?? 'replace');
  const [words, setWords] = useState('');
  const take = () => {
    add({ ...stamp(), kind: 'remedy', place: place.place, body: { remedy, words: words.trim() } });
    onDone();
  };
  return (
    <div className={styles.act}>
      <NativeSelect
        label="What is done about it"
        data={remedies.map((id) => ({ value: id, label: REMEDIES[id].name }))}
        value={remedy}
        onChange={(event) => setRemedy(event.currentTarget.value as RemedyId)}
      />
      <TextInput
        label="In words"
        description="Which shell, how much"
        value={words}
        onChange={(event) => setWords(event.currentTarget.value)}
      />
      <Button onClick={take}>It is done: read it again</Button>
    </div>
  );
}

function Order({ place, add, onDone }: Act) {
  const [words, setWords] = useState('');
  const keep = () => {
    add({ ...stamp(), kind: 'order', place: place.place, body: { words: words.trim() } });
    onDone();
  };
  return (
    <div className={styles.act}>
      <TextInput
        label="What is on order"
        description="The fit stays on the open list until it is in"
        value={words}
        onChange={(event) => setWords(event.currentTarget.value)}
      />
      <Button onClick={keep} disabled={words.trim().length < 3}>
        On order
      </Button>
    </div>
  );
}

function Felt({ place, add, onDone }: Act) {
  const [words, setWords] = useState('');
  const keep = () => {
    add({ ...stamp(), kind: 'felt', place: place.place, body: { words: words.trim() } });
    onDone();
  };
  return (
    <div className={styles.act}>
      <TextInput
        label="What was felt"
        description="Kept as felt; it stays not measured"
        value={words}
        onChange={(event) => setWords(event.currentTarget.value)}
      />
      <Button onClick={keep} disabled={words.trim().length < 3}>
        Felt, not measured
      </Button>
    </div>
  );
}

/** What can be decided on a place as it stands. */
export function PlaceActs(props: Props) {
  const { judged, place } = props;
  const { state } = place;
  const isRead = place.result.read > 0;
  return (
    <div className={styles.acts}>
      {(state === 'improve' || state === 'too-close') && <Accept {...props} />}
      {isRead && <Remedies {...props} />}
      {(isHolding(state) || state === 'improve' || state === 'accepted') && <Order {...props} />}
      {!isRead && judged.kind.shape === 'float' && <Felt {...props} />}
    </div>
  );
}

/** Lays the strip in or takes it out: while it lies in, the crank is held. */
export function StripKey({ place, add }: Pick<Props, 'place' | 'add'>) {
  return place.stripIn ? (
    <Button onClick={() => add({ ...stamp(), kind: 'strip-out', place: place.place, body: {} })}>
      Strip is out<span className="only-spoken">, {place.name}</span>
    </Button>
  ) : (
    <Button onClick={() => add({ ...stamp(), kind: 'strip-in', place: place.place, body: {} })}>
      Lay a strip in<span className="only-spoken">, {place.name}</span>
    </Button>
  );
}
