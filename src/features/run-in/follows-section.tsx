'use client';

import type { Follow } from '@/model/heat/follows';
import { Section } from '@/interface/parts/screen';
import { useLine } from '@/interface/record/use-line';
import type { RetorqueDue } from './queries';
import styles from './run-in-screen.module.css';

const SIGN: Readonly<Record<Follow['state'], string>> = { unsaid: '○', open: '◔', done: '●' };
const SAYS: Readonly<Record<Follow['state'], string>> = { unsaid: 'not said', open: 'open', done: 'done' };

/** One thing that follows: put on the list of what is open, and taken off it when it is done. */
function Line({ engineId, follow }: { readonly engineId: string; readonly follow: Follow }) {
  const { write, pending, problem } = useLine(engineId);
  const { what, words, state, key } = follow;
  return (
    <li className={styles.line}>
      <span>
        <span aria-hidden>{SIGN[state]} </span>
        {what}
        <span className={state === 'open' ? undefined : 'soft'}>, {SAYS[state]}</span>
        {problem && <span role="alert"> {problem.message}</span>}
      </span>
      {state !== 'done' && (
        <button
          type="button"
          className="text-button"
          aria-disabled={pending || undefined}
          onClick={() =>
            key === undefined ? write({ kind: 'loose', body: { words } }) : write({ kind: 'tight', body: { of: key } })
          }
        >
          {key === undefined ? 'It is to be done' : 'It is done'}
          <span className="only-spoken">: {words}</span>
        </button>
      )}
    </li>
  );
}

/** What is looked at after a joint was gone over again. What is to be done stands on the engine’s open list, and on Due. */
export const FollowsSection = ({
  engineId,
  dues,
}: {
  readonly engineId: string;
  readonly dues: readonly RetorqueDue[];
}) => {
  const done = dues.filter(({ follows }) => follows !== undefined);
  return (
    done.length > 0 && (
      <Section title="What follows">
        {done.map(({ jointId, name, follows }) => (
          <div key={jointId}>
            <h3>After {name}</h3>
            <ul className={styles.readings}>
              {follows?.map((follow) => (
                <Line key={follow.what} engineId={engineId} follow={follow} />
              ))}
            </ul>
          </div>
        ))}
      </Section>
    )
  );
};
