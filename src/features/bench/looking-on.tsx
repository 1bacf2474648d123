import { nearTime } from '@/interface/figures/times';
import { FaceReason } from './face-reason';
import type { Hold } from './use-hold';
import keys from './face-keys.module.css';

interface Props {
  readonly hold: Hold;
  readonly openedAt: number;
  readonly onLeave: () => void;
}

/** In the place of the keys, where another screen has the wrench: what is done there is seen here. */
export function LookingOn({ hold: { seen, refusal, move }, openedAt, onLeave }: Props) {
  if (!seen) return null;
  const isFree = seen.state === 'free';
  const holder = seen.who === '' ? 'Another screen' : `${seen.who}, at another screen,`;
  return (
    <div className={keys.keys} data-testid="looking-on">
      <div className={keys.others}>
        <p className={keys.held} role="status">
          {isFree
            ? 'The wrench of this round lies there: nobody has it.'
            : `${holder} has the wrench since ${nearTime(seen.since, openedAt)}. What is done there is seen here.`}
          {seen.words && ` It was taken over: ${seen.words}.`}
          {refusal && ` ${refusal}`}
        </p>
        {seen.state === 'elsewhere' && !seen.mayTake && (
          <FaceReason
            open="Take it all the same, with a word why"
            label="Why it is taken over; it is said at the other screen"
            act="Take it over"
            onReason={(words) => move('take', words)}
          />
        )}
      </div>
      <button
        type="button"
        className={keys.key}
        data-rank="strike"
        disabled={seen.state !== 'elsewhere' || seen.asked}
        onClick={() => move('ask')}
      >
        {seen.asked ? 'Asked for' : 'Ask for it'}
      </button>
      <button
        type="button"
        className={keys.key}
        data-rank="main"
        data-main
        disabled={!seen.mayTake}
        onClick={() => move('take')}
      >
        Take the wrench
      </button>
      <button type="button" className={keys.key} data-rank="leave" onClick={onLeave}>
        Leave
      </button>
    </div>
  );
}
