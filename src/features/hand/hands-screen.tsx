'use client';

import { TextInput } from '@mantine/core';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { useMemo, useState, useTransition } from 'react';
import { meantAsTyped, type HandAtSize, type HandPullRow } from '@/model/trial/hand-pull';
import { useFigures } from '@/interface/figures/preferences';
import { ActionForm } from '@/interface/parts/action-form';
import type { BandRow } from '@/interface/parts/band-chart';
import { bandHeight } from '@/interface/parts/band-height';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Notice, Screen, Section } from '@/interface/parts/screen';
import { useOfferUndo } from '@/interface/parts/undo';
import { useActionForm } from '@/interface/parts/use-action-form';
import { send } from '@/interface/parts/send';
import { useDefaultWorking, useShowWorking, type Working } from '@/interface/shell/working-margin';
import { addHandPullAction, strikeHandPullAction } from './actions';
import styles from './hands.module.css';

const BandChart = fetchedPart(() => import('@/interface/parts/band-chart').then((module) => module.default), {
  space: <div className={styles.space} />,
});

/** A wrench to hold a hand against. */
export interface ShownWrench {
  readonly name: string;
  readonly accuracy_pct: number;
}

interface Props {
  readonly hands: readonly HandAtSize[];
  readonly wrenches: readonly ShownWrench[];
  /** The pull that was written last: the next one is mostly of the same. */
  readonly last?: HandPullRow;
  /** Initials of whoever looks. */
  readonly who: string;
}

const nameOf = ({ hand, thread }: HandAtSize) => `${hand} at ${thread}`;
const percent = (factor: number) => 100 * factor;

/** `12 % over what was meant` */
function offWords(factor: number): string {
  const off = Math.round(percent(factor)) - 100;
  if (off === 0) return 'as meant, in the mean';
  return `${Math.abs(off)} % ${off > 0 ? 'over' : 'under'} what was meant, in the mean`;
}

const ROW_PX = 48;

const rowsOf = (hands: readonly HandAtSize[], wrenches: readonly ShownWrench[]): readonly BandRow[] => [
  ...hands.map((one) => ({
    name: nameOf(one),
    band: one.result.next && ([percent(one.result.next.low), percent(one.result.next.high)] as const),
    points: one.pulls.map(({ meant_Nm, read_Nm }) => percent(read_Nm / meant_Nm)),
  })),
  ...wrenches.map(({ name, accuracy_pct }) => ({
    name,
    band: [100 - accuracy_pct, 100 + accuracy_pct] as const,
    strong: true,
    points: [],
  })),
];

const workingOf = (one: HandAtSize): Working => {
  const { factor, next, mean, deviation, pulls } = one.result;
  return {
    title: nameOf(one),
    lines: [
      {
        formula: 'ȳ = mean of ln (read / meant)',
        figures: ['exp ȳ = ', { value: factor, digits: 3 }],
      },
      ...(next
        ? [
            {
              formula: 'next pull: exp(ȳ ± t·s·√(1 + 1/n)), 5th to 95th percentile',
              figures: [{ value: next.low, digits: 3 }, ' to ', { value: next.high, digits: 3 }],
            },
          ]
        : []),
      ...(mean
        ? [
            {
              formula: 'the hand’s mean, 95 %',
              figures: [{ value: mean.low, digits: 3 }, ' to ', { value: mean.high, digits: 3 }],
            },
          ]
        : []),
    ],
    remarks: [
      ['Pulls', `${pulls}`],
      ...(deviation === undefined ? [] : [['Scatter, 1 s', `±${(100 * deviation).toFixed(0)} %`] as const]),
    ],
  };
};

const WHY: Working = {
  title: 'By hand',
  remarks: [
    ['How', 'pull a nut by feel to what you would leave it at, then read it on a wrench that shows what it reads.'],
    ['Whose', 'each hand by itself, and each size: a hand that is right at M8 is not so at M12.'],
    ['For', 'what may be left by feel, and what may not. A pull by feel is recorded as one, and never as a figure.'],
  ],
};

function PullForm({ last, who }: Pick<Props, 'last' | 'who'>) {
  const start = {
    hand: last?.hand ?? who,
    thread: last?.thread ?? '',
    meant: last ? meantAsTyped(last) : '',
    read: '',
  };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm('hand-pull', start, addHandPullAction, (_, entered) => entered.setValues({ read: '' }));
  const field = fields.getInputProps;
  return (
    <ActionForm label="A pull by feel" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput label="Whose hand" description="Initials" maxLength={12} {...field('hand')} />
      <TextInput label="Thread" {...field('thread')} />
      <TextInput label="Meant" description="N·m, or with its unit" {...field('meant')} />
      <TextInput label="Read" description="What it was" autoComplete="off" {...field('read')} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Save the pull
        </Button>
      </div>
    </ActionForm>
  );
}

function HandResult({ one, onStrike }: { readonly one: HandAtSize; readonly onStrike: (pullId: string) => void }) {
  const { significant } = useFigures();
  const working = workingOf(one);
  const show = useShowWorking([working]);
  const { result, pulls } = one;
  return (
    <section className={styles.hand} tabIndex={0} {...show(working)} aria-label={nameOf(one)}>
      <h3>{nameOf(one)}</h3>
      <p>
        {offWords(result.factor)}.{' '}
        {result.next
          ? `Nine of ten pulls lie between ${significant(percent(result.next.low), 2)} and ${significant(percent(result.next.high), 2)} % of it.`
          : 'One pull says nothing of the next.'}
      </p>
      <ol className={`counted ${styles.pulls}`}>
        {pulls.map((pull) => (
          <li key={pull.id}>
            <span className="figure">
              {significant(pull.meant_Nm)} meant, {significant(pull.read_Nm)} N·m read
            </span>{' '}
            <button type="button" className="text-button" onClick={() => onStrike(pull.id)}>
              Undo
              <span className="only-spoken">
                {' '}
                {significant(pull.read_Nm)} N·m of {nameOf(one)}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** What hands do by feel, beside the wrenches of the shop. */
export function HandsScreen({ hands, wrenches, last, who }: Props) {
  const [refusal, setRefusal] = useState<string>();
  const offerUndo = useOfferUndo();
  const [, startTransition] = useTransition();
  const first = hands[0];
  useDefaultWorking(useMemo(() => (first ? workingOf(first) : WHY), [first]));
  const strike = (pullId: string) =>
    startTransition(async () => {
      const outcome = await send(strikeHandPullAction, { pullId });
      setRefusal(outcome.ok ? undefined : outcome.error.message);
      if (outcome.ok) offerUndo(outcome.result);
    });
  return (
    <Screen title="By hand" lead="What a hand does that pulls by feel, read off a wrench, by its size.">
      <HydrationGate>
        {refusal && <Notice kind="stop">{refusal}</Notice>}
        {hands.length > 0 && (
          <>
            <div style={{ minHeight: bandHeight(hands.length + wrenches.length, ROW_PX) }}>
              <BandChart
                rows={rowsOf(hands, wrenches)}
                unit="%"
                rowHeight={ROW_PX}
                pointColour="var(--red-lead)"
                lines={[{ at: 100, label: 'as meant', colour: 'var(--brass)' }]}
              />
            </div>
            <p className="soft">
              A point a pull, as a share of what was meant; the bar is where the next one lies, 5th to 95th percentile.
              A wrench’s bar is what it is marked with.
            </p>
          </>
        )}
        <Section title="A pull by feel">
          <PullForm last={last} who={who} />
        </Section>
        {hands.map((one) => (
          <HandResult key={nameOf(one)} one={one} onStrike={strike} />
        ))}
      </HydrationGate>
    </Screen>
  );
}
