'use client';

import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import type { Purpose } from '@/model/joint/tightening';
import type { Locking } from '@/core/joint';
import type { PullStep, RoundState } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { otherUnitOf } from '@/interface/figures/figures';
import { useFigures } from '@/interface/figures/preferences';
import { isNewSetting, stageCount, turnNumber, turnsOfPlan } from '@/interface/words/bench-words';
import { notesOfPlace, type PlaceNote } from '@/model/joint/place-note';
import { placeNoteWords } from '@/interface/words/place-note-words';
import { turnWords, turnsWords } from '@/model/joint/turns-words';
import { LOCK_LAST, lockedIn, SLOT_WORDS } from './lock-words';
import styles from './face.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly round: RoundState;
  readonly purpose: Purpose;
  readonly strips: readonly string[];
  readonly known: KnownOfPlaces;
}

/** What is known of the joint beside its plan, as its sheet has it now. */
export interface KnownOfPlaces {
  readonly placeNotes: readonly PlaceNote[];
  readonly locking: Locking;
}

/** Where in the turn one is, and what has to be known of that place before it is pulled. */
function Place({ plan, step, placeNotes, locking }: Pick<Props, 'plan'> & KnownOfPlaces & { readonly step: PullStep }) {
  const noted = notesOfPlace(placeNotes, step.position).map(placeNoteWords);
  const said = step.final && locking === 'pin' ? [...noted, SLOT_WORDS] : noted;
  return (
    <>
      <p className={styles.place} data-testid="face-place">
        <span>
          Number <b>{turnNumber(plan, step.position)}</b> of {plan.positions.length},{' '}
        </span>
        <span>
          stage <b>{step.stage + 1}</b> of {stageCount(plan)}
        </span>
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

/** What to do next, in figures that are read at two metres. */
export function FaceCall({ plan, round, purpose, strips, known }: Props) {
  const { plain, torque } = useFigures();
  const locking = lockedIn(purpose, known.locking);
  const step = plan.steps[round.next];
  const turns = turnsOfPlan(plan);
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
          then {plan.care === 'hand' ? 'by feel' : `to ${plain(gone.setting)} ${plan.unit}`}
          {gone.turn && ` and ${turnWords(gone.turn)} further`}
        </p>
        <p className={styles.hint}>
          What is past its figure is not pulled back to it. If it gave way instead of going tight, stop: look at the
          fastener and at its thread.
        </p>
      </section>
    );
  if (!step)
    return (
      <section className={styles.call}>
        <p className={styles.lead}>All {plan.positions.length} done at</p>
        <p className={styles.figure}>{plain(plan.ladder.setting.rounded)}</p>
        <p className={styles.unit}>
          {plan.unit}
          {turns.length > 0 && ` and ${turnsWords(turns)}`}
        </p>
        <p className={styles.hint}>
          {LOCK_LAST[locking]} Wind the wrench back to its lowest mark, not below it.
          {over > 0 && ` ${over} went over: look at ${over === 1 ? 'it' : 'them'} before going on.`}
        </p>
      </section>
    );
  if (step.kind === 'shaft' && strips.length > 0)
    return (
      <section className={styles.call}>
        <p className={styles.lead}>The crank is held</p>
        <p className={styles.words}>Do not turn it</p>
        <p className={styles.hint}>
          A strip lies in {strips.join(', ')}. Loosen the caps, read it and take it out on the fits sheet; then go on
          here.
        </p>
      </section>
    );
  if (step.kind === 'shaft')
    return (
      <section className={styles.call} data-shaft>
        <p className={styles.lead}>Before the next stage</p>
        <p className={styles.words}>Turn the crank</p>
        <p className={styles.hint}>
          Two full turns by hand. It must go round as freely as before; if it does not, stop and find out why.
        </p>
      </section>
    );
  const fresh = isNewSetting(plan, round.next);
  const last = plan.steps.slice(0, round.next).findLast((one) => one.kind === 'pull');
  const before = last?.kind === 'pull' ? last : undefined;
  const place = <Place plan={plan} step={step} placeNotes={known.placeNotes} locking={locking} />;
  if (plan.care === 'hand')
    return (
      <section className={styles.call}>
        <p className={styles.lead}>By hand</p>
        <p className={styles.words}>By feel</p>
        {place}
        <p className={styles.hint}>Recorded as by feel. {plan.filmName}.</p>
      </section>
    );
  if (step.turn)
    return (
      <section className={styles.call} data-fresh={!before?.turn || undefined}>
        <p className={styles.lead}>{before?.turn ? 'Turn it further by' : 'No torque now: turn it by'}</p>
        <p
          className={styles.figure}
          data-range={step.turn.min_deg < step.turn.max_deg || undefined}
          data-testid="face-setting"
        >
          {turnWords(step.turn)}
        </p>
        <p className={styles.unit}>from where it stands</p>
        {place}
        <p className={styles.hint}>
          Put a mark on it and on the part beside it first. The angle is the page’s: no lubricant changes it.
        </p>
      </section>
    );
  return (
    <section className={styles.call} data-fresh={fresh || undefined}>
      <p className={styles.lead}>
        {plan.act === 'slacken-and-pull'
          ? 'Slacken a little, then pull to'
          : fresh
            ? `Stage ${step.stage + 1}: now set the wrench to`
            : 'Set the wrench to'}
      </p>
      <p className={styles.figure} data-testid="face-setting">
        {plain(step.setting)}
      </p>
      <p className={styles.unit} data-testid="face-unit">
        {plan.unit}
        <span className={styles.also}>= {torque(step.torque_Nm, 3, otherUnitOf(plan.unit))}</span>
      </p>
      {place}
      <p className={styles.hint}>
        <b>{plan.wrenchName}</b>. {plan.filmName}. {PURPOSE_WORDS[purpose].caution}
      </p>
    </section>
  );
}
