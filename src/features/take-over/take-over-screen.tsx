'use client';

import { NativeSelect } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Notice, Screen, Section } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { takeOverAction } from './actions';
import type { Offered, TakeOverPage } from './queries';
import styles from './take-over.module.css';

interface Props {
  readonly engineId: string;
  readonly engineName: string;
  /** The other engines of the shop. */
  readonly others: readonly { readonly id: string; readonly name: string }[];
  /** The one that was chosen, and what it offers. */
  readonly from?: TakeOverPage & { readonly id: string; readonly name: string };
}

const useTicked = (offered: readonly Offered[]) => {
  const [off, setOff] = useState<ReadonlySet<string>>(
    new Set(offered.filter(({ isHere }) => isHere).map(({ id }) => id)),
  );
  const toggle = (id: string) =>
    setOff((before) => {
      const next = new Set(before);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  return {
    isOn: (id: string) => !off.has(id),
    toggle,
    on: offered.filter(({ id }) => !off.has(id)).map(({ id }) => id),
  };
};

function Ticks({
  offered,
  ticked,
}: {
  readonly offered: readonly Offered[];
  readonly ticked: ReturnType<typeof useTicked>;
}) {
  return (
    <ul>
      {offered.map(({ id, name, line, isHere }) => (
        <li key={id}>
          <label className={`${form.choice} ${styles.choice}`}>
            <input type="checkbox" checked={ticked.isOn(id)} disabled={isHere} onChange={() => ticked.toggle(id)} />
            <span>
              <b>{name}</b> <span className="soft">{line}</span>
              {isHere && <b> is here already</b>}
            </span>
          </label>
        </li>
      ))}
    </ul>
  );
}

/** What the chosen engine offers, all of it ticked but what is here already. */
function Choice({ engineId, from }: { readonly engineId: string; readonly from: NonNullable<Props['from']> }) {
  const router = useRouter();
  const { act, pending, problem } = useAct();
  const [leaves, joints] = [useTicked(from.leaves), useTicked(from.joints)];
  const count = leaves.on.length + joints.on.length;
  const take = () =>
    act(
      () => takeOverAction({ engineId, fromId: from.id, leafIds: leaves.on, jointIds: joints.on }),
      ({ href }) => router.push(href),
    );
  return (
    <>
      <Section title="Entries of its book">
        {from.leaves.length === 0 ? <p className="soft">None.</p> : <Ticks offered={from.leaves} ticked={leaves} />}
      </Section>
      <Section title="Joints">
        <p className="soft">
          Each with its entry, thread, stages and order. What was measured there (faces, sockets tried, whether a bolt
          was ever past its yield) and what was overruled is not taken over: it is to be looked at here.
        </p>
        {from.joints.length === 0 ? <p className="soft">None.</p> : <Ticks offered={from.joints} ticked={joints} />}
      </Section>
      <p className={form.acts}>
        <Button rank="main" busy={pending} disabled={count === 0} onClick={take}>
          Take {count} over
        </Button>
      </p>
      <Refusal problem={problem} />
    </>
  );
}

/** Entries and joints taken over from a sister engine. */
export function TakeOverScreen({ engineId, engineName, others, from }: Props) {
  const router = useRouter();
  return (
    <Screen plain title="Take over from another engine" lead={`What is printed for both, for ${engineName}.`}>
      <HydrationGate>
        {others.length === 0 ? (
          <Notice kind="plain">There is no other engine in the shop.</Notice>
        ) : (
          <NativeSelect
            maw="26rem"
            label="From"
            data={[
              { value: '', label: 'Choose an engine' },
              ...others.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            value={from?.id ?? ''}
            onChange={(event) => router.replace(`?from=${encodeURIComponent(event.currentTarget.value)}`)}
          />
        )}
        {from && <Choice key={from.id} engineId={engineId} from={from} />}
      </HydrationGate>
    </Screen>
  );
}
