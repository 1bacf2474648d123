'use client';

import { Section } from '@/interface/parts/screen';
import { OpenLineRow } from './open-line-row';
import type { RetorqueDue } from './queries';
import styles from './run-in-screen.module.css';

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
                <OpenLineRow key={follow.what} engineId={engineId} line={follow} what={follow.what} />
              ))}
            </ul>
          </div>
        ))}
      </Section>
    )
  );
};
