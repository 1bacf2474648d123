'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { kindWords, type RankedLeaf } from '@/model/book/source-precedence';
import { sourceLine } from '@/model/joint/joint-ladder';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { Leaf } from '@/model/book/leaf';
import type { Joint } from '@/model/joint/joint';
import { useFigures } from '@/interface/figures/preferences';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import { Notice } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { chooseLeafAction } from './actions';
import { notOnDisk } from './use-kept-joint';
import styles from './sources-fold.module.css';

interface Props {
  readonly joint: Joint;
  readonly ranked: readonly RankedLeaf[];
  readonly otherLeaves: readonly Leaf[];
  readonly settled: () => Promise<number | undefined>;
  readonly onDetail: (part: Partial<JointDetail>) => void;
}

const givesTorque = ({ kind }: Leaf) => kind === 'torque' || kind === 'lever-pull';

/** Every leaf that speaks of this joint, which one governs this engine and why, and by how much the others differ. */
export function SourcesFold({ joint, ranked, otherLeaves, settled, onDetail }: Props) {
  const { significant } = useFigures();
  const { act, pending, problem } = useAct();
  const [wanted, setWanted] = useState<RankedLeaf>();
  const [reason, setReason] = useState('');
  const governing = ranked.find((one) => one.governs);
  const used = ranked.find((one) => one.leaf.id === joint.leafId);
  const take = (leafId: string, why: string | null) =>
    act(
      async () => {
        const version = await settled();
        return version === undefined
          ? notOnDisk('chosen')
          : chooseLeafAction({ jointId: joint.id, version, leafId, reason: why });
      },
      () => setWanted(undefined),
    );
  const choose = (one: RankedLeaf) => (one.governs ? take(one.leaf.id, null) : setWanted(one));
  const others = ranked.length - 1;
  const line = used
    ? `${sourceLine(used.source)}, p. ${used.leaf.page}${others > 0 ? `; ${others} more ${others === 1 ? 'speaks' : 'speak'} of it` : ''}`
    : 'its entry';
  return (
    <Disclosure
      title="Which page applies"
      line={line}
      open={governing !== undefined && governing.leaf.id !== joint.leafId}
    >
      {governing && governing.leaf.id !== joint.leafId && (
        <Notice kind="wait">A lower-ranked entry is used: {joint.detail.leafReason ?? 'no reason was given.'}</Notice>
      )}
      <ul className={styles.leaves}>
        {ranked.map((one) => (
          <li key={one.leaf.id} className={styles.leaf} data-governs={one.governs || undefined}>
            <span>
              <span className="printed" lang={one.source.language || undefined}>
                “{one.leaf.printedText}”
              </span>{' '}
              <span className={styles.from}>
                {sourceLine(one.source)}, p. {one.leaf.page} ({kindWords(one.source.kind)})
              </span>
              <span className={styles.reason}>
                {one.reason}
                {one.offBy_pct !== undefined &&
                  Math.abs(one.offBy_pct) > 0.05 &&
                  ` ${one.offBy_pct > 0 ? '+' : '−'}${significant(Math.abs(one.offBy_pct))} % against it.`}
              </span>
            </span>
            {one.leaf.id === joint.leafId ? (
              <b>in use</b>
            ) : givesTorque(one.leaf) ? (
              <Button onClick={() => choose(one)} disabled={pending}>
                Use it<span className="only-spoken">: {one.leaf.printedText}</span>
              </Button>
            ) : (
              <span className="soft">no torque</span>
            )}
          </li>
        ))}
      </ul>
      {wanted && (
        <div className={styles.why}>
          <TextInput
            label="Why the lower-ranked entry is taken"
            description="Printed in the record"
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
            autoFocus
          />
          <Button onClick={() => take(wanted.leaf.id, reason.trim())} disabled={pending || reason.trim() === ''}>
            Use “{wanted.leaf.printedText}”
          </Button>
          <Button onClick={() => setWanted(undefined)}>Leave it</Button>
        </div>
      )}
      {problem && <Notice kind="stop">{problem.message}</Notice>}
      {otherLeaves.length > 0 && (
        <NativeSelect
          label="Another entry is for it too"
          data={[
            { value: '', label: 'Choose an entry' },
            ...otherLeaves.map((leaf) => ({
              value: leaf.id,
              label: `${leaf.subject}: “${leaf.printedText}”, p. ${leaf.page}`,
            })),
          ]}
          value=""
          onChange={(event) => {
            const id = event.currentTarget.value;
            if (!id) return;
            onDetail({ alsoLeaves: [...joint.detail.alsoLeaves, id] });
          }}
          maw={520}
        />
      )}
    </Disclosure>
  );
}
