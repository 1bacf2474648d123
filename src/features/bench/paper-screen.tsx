'use client';

import { TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { roundState, type BenchEvent, type DoneEvent, type PullStep } from '@/core/tightening';
import type { PaperBox, PaperOutcome } from '@/model/joint/from-paper';
import { kindAt, type TighteningPlan } from '@/model/joint/tightening-plan';
import { useFigures } from '@/interface/figures/preferences';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Screen } from '@/interface/parts/screen';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import { outcomeWords, pullWords } from '@/interface/words/bench-words';
import { copyFromPaperAction } from './actions';
import { benchId } from './bench-id';
import styles from './paper-screen.module.css';

interface Props {
  readonly roundId: string;
  readonly jointName: string;
  readonly plan: TighteningPlan;
  readonly events: readonly BenchEvent[];
  readonly back: string;
}

/** What a box goes through as it is pressed, and what stands in it. */
const MARKS: readonly (readonly [outcome: PaperOutcome, mark: string])[] = [
  ['pulled', '✓'],
  ['did-not-move', 'M'],
  ['already-past', 'P'],
  ['went-over', 'O'],
];

const markOf = (outcome: PaperOutcome | undefined): string =>
  outcome === 'turned' ? '✓' : (MARKS.find(([one]) => one === outcome)?.[1] ?? '');

const after = (outcome: PaperOutcome | undefined): PaperOutcome | undefined =>
  MARKS[MARKS.findIndex(([one]) => one === outcome) + 1]?.[0];

interface BoxProps {
  readonly name: string;
  readonly step: PullStep;
  readonly figure: string;
  /** What is on the record already. */
  readonly written: DoneEvent | undefined;
  readonly outcome: PaperOutcome | undefined;
  readonly onPress: (next: PaperOutcome | undefined) => void;
}

function Box({ name, step, figure, written, outcome, onPress }: BoxProps) {
  if (written)
    return (
      <td className={styles.written}>
        <span aria-hidden>{markOf(written.kind === 'pull' ? written.outcome : 'pulled')}</span>
        <span className="only-spoken">on the record already</span>
      </td>
    );
  const said = outcome === undefined || outcome === 'turned' ? 'empty' : outcomeWords(outcome, step);
  return (
    <td>
      <button
        type="button"
        className={styles.box}
        aria-label={`${name}, ${figure}: ${said}`}
        data-ticked={outcome !== undefined || undefined}
        onClick={() => onPress(after(outcome))}
      >
        <span>{markOf(outcome)}</span>
        <span className={styles.figure}>{figure}</span>
      </button>
    </td>
  );
}

const ON_THE_CARD: Working = {
  title: 'What a box says',
  remarks: [
    ['Pressed', 'It goes through pulled ✓, did not move M, already past P, went over O, and empty again.'],
    ['Copied', 'Its line in the record says that it is from paper, and what the card says of when and by whom.'],
    ['Not ticked', 'Nothing is taken for done because what came after it is.'],
  ],
};

function Margin() {
  useDefaultWorking(ON_THE_CARD);
  return null;
}

interface CranksProps {
  readonly steps: TighteningPlan['steps'];
  readonly done: ReadonlyMap<number, unknown>;
  readonly boxes: ReadonlyMap<number, PaperOutcome>;
  readonly onBox: (step: number, outcome: PaperOutcome | undefined) => void;
}

/** Where the crank was to be turned: nobody takes it for turned because what came after it is ticked. */
const Cranks = ({ steps, done, boxes, onBox }: CranksProps) =>
  steps.map(
    (step, at) =>
      step.kind === 'shaft' &&
      !done.has(at) && (
        <label key={at} className={form.choice}>
          <input
            type="checkbox"
            checked={boxes.has(at)}
            onChange={(event) => onBox(at, event.currentTarget.checked ? 'turned' : undefined)}
          />
          <span>The crank was turned after stage {step.afterStage + 1}</span>
        </label>
      ),
  );

/** What was ticked on the paper card of a round, copied box by box: in the turn of the card, a line a number. */
export function PaperScreen({ roundId, jointName, plan, events, back }: Props) {
  const router = useRouter();
  const { plain } = useFigures();
  const done = useMemo(() => {
    const state = roundState(plan.steps, events, plan.positions.length, plan.asksOver);
    return new Map(
      state.done.flatMap((event) =>
        event.kind === 'skip' || event.kind === 'bind' ? [] : [[event.step, event] as const],
      ),
    );
  }, [plan, events]);
  // What was ticked and kept on the device may be on the record by now.
  const isFree = ({ step }: PaperBox) => !done.has(step);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    `paper-${roundId}`,
    { roundId, boxes: [] as readonly PaperBox[], words: '', bench: '' },
    (values) => copyFromPaperAction({ ...values, boxes: values.boxes.filter(isFree), bench: benchId() }),
    () => router.push(back),
  );
  const boxes = new Map(fields.values.boxes.filter(isFree).map(({ step, outcome }) => [step, outcome]));
  const put = (changed: readonly (readonly [number, PaperOutcome | undefined])[]) => {
    const next = new Map<number, PaperOutcome | undefined>([...boxes, ...changed]);
    fields.setFieldValue(
      'boxes',
      [...next].flatMap(([step, outcome]) => (outcome === undefined ? [] : [{ step, outcome }])),
    );
  };
  const steps = plan.steps.map((step, at) => ({ step, at }));
  const stages = Math.max(...steps.map(({ step }) => (step.kind === 'pull' ? step.stage + 1 : 0)));
  const boxOf = (place: number, stage: number) =>
    steps.find(({ step }) => step.kind === 'pull' && step.position === place && step.stage === stage);
  const freeOf = (stage: number) =>
    plan.order.flatMap((place) => {
      const box = boxOf(place, stage);
      return box && !done.has(box.at) ? [box.at] : [];
    });
  const tickAll = (stage: number) => {
    const free = freeOf(stage);
    const all = free.every((at) => boxes.has(at));
    put(free.filter((at) => all || !boxes.has(at)).map((at) => [at, all ? undefined : 'pulled']));
  };
  return (
    <Screen
      title={`From a paper card: ${jointName}`}
      lead="What was ticked at a bench without a screen. An empty box before a ticked one is owed, and comes back at the bench."
    >
      <Margin />
      <ActionForm label="The paper card" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
        <div className={`${form.wide} ${styles.wide}`}>
          <table className={styles.card}>
            <caption className="only-spoken">A line a fastener in the turn, a column a stage</caption>
            <thead>
              <tr>
                <th scope="col">Number</th>
                {Array.from({ length: stages }, (_, stage) => (
                  <th key={stage} scope="col">
                    {freeOf(stage).length === 0 ? (
                      `Stage ${stage + 1}`
                    ) : (
                      <button type="button" className={styles.all} onClick={() => tickAll(stage)}>
                        All of stage {stage + 1}
                      </button>
                    )}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {plan.order.map((place, i) => (
                <tr key={place}>
                  <th scope="row">
                    {i + 1}
                    {kindAt(plan, place) && <span className="soft"> {kindAt(plan, place)?.name}</span>}
                  </th>
                  {Array.from({ length: stages }, (_, stage) => {
                    const box = boxOf(place, stage);
                    if (!box) return <td key={stage}>–</td>;
                    const step = box.step as PullStep;
                    return (
                      <Box
                        key={stage}
                        name={`Number ${i + 1}, stage ${stage + 1}`}
                        step={step}
                        figure={pullWords(plan, step, plain(step.setting))}
                        written={done.get(box.at)}
                        outcome={boxes.get(box.at)}
                        onPress={(next) => put([[box.at, next]])}
                      />
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <Cranks steps={plan.steps} done={done} boxes={boxes} onBox={(at, outcome) => put([[at, outcome]])} />
        <TextInput
          className={form.wide}
          label="When and by whom, as the card says"
          description="It stands in the record beside each: copied from paper"
          maxLength={200}
          {...fields.getInputProps('words')}
        />
        <div className={form.acts}>
          <Button type="submit" rank="main" busy={pending} disabled={boxes.size === 0}>
            Copy {boxes.size === 1 ? 'one box' : `${boxes.size} boxes`}
          </Button>
          <Button
            onClick={() => {
              draft.discard();
              router.push(back);
            }}
          >
            Leave it
          </Button>
        </div>
      </ActionForm>
    </Screen>
  );
}
