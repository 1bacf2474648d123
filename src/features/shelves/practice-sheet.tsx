'use client';

import { NativeSelect } from '@mantine/core';
import { useState, useTransition } from 'react';
import { PRACTICE_QUESTIONS, type HousePractice, type PracticeRow } from '@/model/practice/house-practice';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Notice } from '@/interface/parts/screen';
import { send } from '@/interface/parts/use-action-form';
import { keepPracticeAction } from './actions';
import styles from './shelves.module.css';

interface Props {
  /** The shop's practice. */
  readonly shop: HousePractice;
  /** Set for an engine: where it differs from the shop's. */
  readonly engine?: { readonly id: string; readonly practice: Partial<HousePractice> };
}

/** What this shop does where the books leave it open, each with its reason; for an engine, where it differs. */
export function PracticeQuestions({ shop, engine }: Props) {
  const [chosen, setChosen] = useState<Partial<HousePractice>>(engine ? engine.practice : shop);
  const [refusal, setRefusal] = useState<string>();
  const [, startTransition] = useTransition();
  const choose = (row: PracticeRow, value: string) => {
    const rest: Partial<HousePractice> = Object.fromEntries(Object.entries(chosen).filter(([key]) => key !== row));
    const next: Partial<HousePractice> = value === '' ? rest : { ...rest, [row]: value };
    setChosen(next);
    startTransition(async () => {
      const outcome = await send(keepPracticeAction, { engineId: engine?.id ?? null, practice: next });
      setRefusal(outcome.ok ? undefined : outcome.error.message);
    });
  };
  return (
    <HydrationGate>
      {refusal && <Notice kind="stop">{refusal}</Notice>}
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
