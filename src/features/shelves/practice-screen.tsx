'use client';

import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { HousePractice, PracticeRow } from '@/model/practice/house-practice';
import { PRACTICE_QUESTIONS } from '@/model/practice/practice-questions';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Refusal } from '@/interface/parts/action-form';
import { useAct } from '@/interface/parts/use-act';
import { keepPracticeAction } from './actions';
import styles from './shelves.module.css';

interface Props {
  /** The shop's practice. */
  readonly shop: HousePractice;
  /** Of the practice that is changed here, which a writer must name. */
  readonly version: number;
  /** Set for an engine: where it differs from the shop's. */
  readonly engine?: { readonly id: string; readonly practice: Partial<HousePractice> };
}

/** What this shop does where the books leave it open, each with its reason; for an engine, where it differs. */
export function PracticeQuestions({ shop, version: read, engine }: Props) {
  const [chosen, setChosen] = useState<Partial<HousePractice>>(engine ? engine.practice : shop);
  const [kept, setKept] = useState(read);
  const { act, problem } = useAct();
  const version = Math.max(kept, read);
  const choose = (row: PracticeRow, value: string, over = version) => {
    const rest: Partial<HousePractice> = Object.fromEntries(Object.entries(chosen).filter(([key]) => key !== row));
    setChosen(value === '' ? rest : { ...rest, [row]: value });
    const change = { [row]: value === '' ? null : value };
    act(
      () => keepPracticeAction({ engineId: engine?.id ?? null, version: over, change }),
      (now) => setKept(now.version),
    );
  };
  return (
    <HydrationGate>
      <Refusal problem={problem} />
      <div className={styles.questions}>
        {PRACTICE_QUESTIONS.map(({ row, question, schools }) => {
          const inForce = schools.find(({ value }) => value === (chosen[row] ?? shop[row]));
          const inherited = schools.find(({ value }) => value === shop[row]);
          return (
            <div key={row} className={styles.question}>
              <span id={`question-${row}`}>{question}</span>
              <NativeSelect
                aria-labelledby={`question-${row}`}
                value={chosen[row] ?? ''}
                data={[
                  ...(engine ? [{ value: '', label: `as the shop: ${inherited?.name}` }] : []),
                  ...schools.map(({ value, name }) => ({ value, label: name })),
                ]}
                onChange={(event) => choose(row, event.currentTarget.value)}
              />
              <span className={styles.reason}>{inForce?.reason}</span>
            </div>
          );
        })}
      </div>
    </HydrationGate>
  );
}
