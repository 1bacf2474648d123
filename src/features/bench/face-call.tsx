'use client';

import type { TorqueUnit } from '@/core/units';
import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import type { Purpose } from '@/model/joint/tightening';
import type { PullStep, RoundState } from '@/core/tightening';
import { figureAt, kindAt, type TighteningPlan } from '@/model/joint/tightening-plan';
import { otherUnitOf } from '@/interface/figures/figures';
import { useFigures, useLengths } from '@/interface/figures/preferences';
import {
  handOverWords,
  isNewSetting,
  lastPulled,
  stageCount,
  turnNumber,
  turnsOfPlan,
} from '@/interface/words/bench-words';
import type { CrankHeld } from '@/model/order/crank';
import { notesOfPlace } from '@/model/joint/place-note';
import { placeNoteWords } from '@/interface/words/place-note-words';
import { flatsWords, turnWords, turnsWords } from '@/model/joint/turns-words';
import { AngleDrawing } from './angle-drawing';
import type { KnownOfPlaces, StretchTarget } from './known-of-places';
import { LOCK_LAST, lockedIn, lockingAt, lockUnsaid, SLOT_WORDS } from './lock-words';
import { ShaftCall } from './shaft-call';
import styles from './face.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly round: RoundState;
  readonly purpose: Purpose;
  readonly held: CrankHeld | undefined;
  readonly known: KnownOfPlaces;
}

/** What is read beside the torque at the last pull: length, and which of the two ends it. */
function useStretchWords(stretch: StretchTarget | undefined, unit: TorqueUnit): readonly string[] {
  const { span } = useLengths();
  const { torque } = useFigures();
  if (!stretch) return [];
  const { minStretch_mm, maxStretch_mm, ceiling_Nm, bothEnds } = stretch;
  return bothEnds
    ? [
        `By stretch: ${span(minStretch_mm, maxStretch_mm)}, and never over ${torque(ceiling_Nm, 3, unit)}. Stop at whichever comes first; one without the other: find out why`,
      ]
    : [`Stretch cannot be read, for an end is not reached. Never over ${torque(ceiling_Nm, 3, unit)}`];
}

/** What is drawn on each once it is left as it stays; a round whose nuts come off again leaves nothing to mark. */
const MARK_IT: Readonly<Partial<Record<Purpose, string>>> = {
  final: 'Then mark it, across to the part beside it.',
  retorque: 'See how far its mark went, then mark it anew.',
};
/** Where something is slackened first. */
const NO_CLICK = 'Slacken it with a bar: a click wrench is not for loosening, and no pipe goes on either.';
const markIt = ({ track }: TighteningPlan, purpose: Purpose): string | undefined =>
  track === 'witness-mark' ? MARK_IT[purpose] : undefined;

/** Where in the turn one is, and what has to be known of that place before it is pulled. */
function Place({
  plan,
  step,
  placeNotes,
  locking,
  stretches,
  passedOver,
}: Pick<Props, 'plan'> &
  Pick<KnownOfPlaces, 'placeNotes' | 'locking' | 'stretches'> & {
    readonly step: PullStep;
    readonly passedOver?: string;
  }) {
  const noted = [
    ...(passedOver === undefined ? [] : [`Passed over before: ${passedOver}`]),
    ...notesOfPlace(placeNotes, step.position).map(placeNoteWords),
  ];
  const kind = kindAt(plan, step.position);
  const stretched = useStretchWords(step.final ? stretches[kind?.name ?? ''] : undefined, plan.unit);
  const said = [...noted, ...(step.final && locking === 'pin' ? [SLOT_WORDS] : []), ...stretched];
  return (
    <>
      <p className={styles.place} data-testid="face-place">
        <span>
          Number <b>{turnNumber(plan, step.position)}</b> of {plan.positions.length},{' '}
        </span>
        <span>
          stage <b>{step.stage + 1}</b> of {stageCount(plan, figureAt(plan, step.position))}
        </span>
        {kind && (
          <span className={styles.kind} title={kind.name}>
            {kind.name}
          </span>
        )}
      </p>
      {said.length > 0 && (
        <ul className={styles.noted} data-testid="face-notes">
          {said.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
    </>
  );
}

/** What each kind stands at when all is done, and what is done last. */
function AllDone({
  plan,
  purpose,
  known,
  over,
}: Pick<Props, 'plan' | 'purpose' | 'known'> & { readonly over: number }) {
  const { plain } = useFigures();
  const kinds = [{ ...plan, name: '' }, ...(plan.kinds ?? [])];
  const lockings = [known.locking, ...kinds.slice(1).map(({ name }) => known.kindLockings[name] ?? 'unsaid')];
  const locks = new Set(lockings.map((locking) => lockedIn(purpose, locking)));
  const last = [...locks].flatMap((locking) => LOCK_LAST[locking] ?? []);
  const figures = [plan, ...(plan.kinds ?? [])].map((figure) => {
    const turns = turnsOfPlan(plan, figure);
    const words = `${figure.unit}${turns.length > 0 ? ` and ${turnsWords(turns)}` : ''}`;
    return { figure: plain(figure.ladder.setting.rounded), words };
  });
  const [own] = figures;
  const isStretched = purpose === 'final' && Object.values(known.stretches).some(({ bothEnds }) => bothEnds);
  return (
    <section className={styles.call}>
      <p className={styles.lead}>All {plan.positions.length} done at</p>
      {figures.length === 1 ? (
        <>
          <p className={styles.figure}>{own?.figure}</p>
          <p className={styles.unit}>{own?.words}</p>
        </>
      ) : (
        <ul className={styles.ended} data-many={figures.length > 2 || undefined}>
          {figures.map(({ figure, words }, i) => (
            <li key={i}>
              <b>{figure}</b> {words}
              {kinds[i]?.name && <span className={styles.kind}> {kinds[i].name}</span>}
            </li>
          ))}
        </ul>
      )}
      {locks.has('unsaid') && <p className={styles.hint}>{lockUnsaid(known)}</p>}
      <p className={styles.hint}>
        {isStretched && 'Where its stretch was not read yet, read it and write it on the stretch sheet. '}
        {last.join(' ')} {markIt(plan, purpose) && 'See that each has its mark. '}Wind the wrench back to its lowest
        mark, not below it.
        {over > 0 && ` ${over} went over: look at ${over === 1 ? 'it' : 'them'} before going on.`}
      </p>
    </section>
  );
}

/** What to do next, in figures that are read at two metres. */
export function FaceCall({ plan, round, purpose, held, known }: Props) {
  const { plain, torque } = useFigures();
  const step = plan.steps[round.next];
  const over = round.marks.filter((mark) => mark.attention).length;
  const gone = plan.steps[round.over[0] ?? -1];
  if (gone?.kind === 'pull')
    return (
      <section className={styles.call} data-over>
        <p className={styles.lead}>
          Number <b>{turnNumber(plan, gone.position)}</b> went over
        </p>
        <p className={styles.words}>Slacken it</p>
        <p className={styles.unit}>
          then {plan.care === 'hand' ? 'by feel' : `to ${plain(gone.setting)} ${figureAt(plan, gone.position).unit}`}
          {gone.turn && ` and ${turnWords(gone.turn)} further`}
        </p>
        <p className={styles.hint}>
          {NO_CLICK} What is past its figure is not pulled back to it. If it gave way instead of going tight, stop: look
          at the fastener and at its thread.
        </p>
      </section>
    );
  if (!step) return <AllDone plan={plan} purpose={purpose} known={known} over={over} />;
  if (step.kind === 'shaft') return <ShaftCall round={round} held={held} />;
  const before = lastPulled(plan, round.done);
  const fresh = isNewSetting(plan, round.next, before);
  const figure = figureAt(plan, step.position);
  const locking = lockingAt({ plan, purpose, known }, step.position);
  const skipped = round.isOwed
    ? round.done.findLast((one) => one.kind === 'skip' && one.step === round.next)
    : undefined;
  const place = (
    <Place
      plan={plan}
      step={step}
      placeNotes={known.placeNotes}
      locking={locking}
      stretches={known.stretches}
      passedOver={skipped?.kind === 'skip' ? skipped.words : undefined}
    />
  );
  const taken = handOverWords(plan, round.next, before);
  if (plan.care === 'hand')
    return (
      <section className={styles.call}>
        <p className={styles.lead}>By hand</p>
        <p className={styles.words}>By feel</p>
        {place}
        <p className={styles.hint}>
          {taken && `${taken}. `}Recorded as by feel. {figure.filmName}.
          {step.final && ` ${markIt(plan, purpose) ?? ''}`}
        </p>
      </section>
    );
  if (step.turn)
    return (
      <section className={styles.call} data-fresh={!before?.turn || undefined}>
        <p className={styles.lead}>
          {taken && `${taken}. `}
          {before?.turn ? 'Turn it further by' : 'No torque now: turn it by'}
        </p>
        <div className={styles.turnRow}>
          <AngleDrawing turn={step.turn} />
          <p
            className={styles.figure}
            data-range={step.turn.min_deg < step.turn.max_deg || undefined}
            data-testid="face-setting"
          >
            {turnWords(step.turn)}
          </p>
        </div>
        <p className={styles.flats}>{flatsWords(step.turn) ?? 'from where it stands'}</p>
        {place}
        <p className={styles.hint}>
          From where it stands: put a mark on it and on the part beside it first. The angle is the page’s: no lubricant
          changes it.
        </p>
      </section>
    );
  return (
    <section className={styles.call} data-fresh={fresh || taken !== '' || undefined}>
      <p className={styles.lead}>
        {taken && `${taken}. `}
        {plan.act === 'slacken-and-pull'
          ? plan.slackenBy_deg === undefined
            ? 'Slacken a little, then pull to'
            : `Slacken by ${plan.slackenBy_deg}°, then pull to the figure, never to the mark:`
          : taken !== ''
            ? 'Set it to'
            : fresh
              ? `Stage ${step.stage + 1}: now set the wrench to`
              : 'Set the wrench to'}
      </p>
      <p className={styles.figure} data-testid="face-setting">
        {plain(step.setting)}
      </p>
      <p className={styles.unit} data-testid="face-unit">
        {figure.unit}
        <span className={styles.also}>= {torque(step.torque_Nm, 3, otherUnitOf(figure.unit))}</span>
      </p>
      {place}
      <p className={styles.hint}>
        <b>{figure.wrenchName}</b>. {figure.filmName}. {PURPOSE_WORDS[purpose].caution}
        {step.final && ` ${markIt(plan, purpose) ?? ''}`}
        {plan.act === 'slacken-and-pull' && ` ${NO_CLICK}`}
      </p>
    </section>
  );
}
