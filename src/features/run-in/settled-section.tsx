'use client';

import { fetchedPart } from '@/interface/parts/fetched-part';
import { nearTime } from '@/interface/figures/times';
import { Notice, Section } from '@/interface/parts/screen';
import { Disclosure } from '@/interface/parts/disclosure';
import { ClampDrawing } from '@/interface/pattern/clamp-drawing';
import { useShowWorking } from '@/interface/shell/working-margin';
import type { SettledJoint } from './queries';
import { furtherWords, lossWords, mostLost, verdictWords, workingOfSettled } from './settled-words';
import table from '@/interface/parts/table.module.css';
import styles from './settled-section.module.css';

const SettledChart = fetchedPart(() => import('./settled-chart').then((module) => module.default), {
  space: <div className={styles.space} />,
});

const FORMS: readonly string[] = [];

/** One joint that was gone over: what its nuts did, round by round, and whether that is an end. */
function Joint({ joint, now }: { readonly joint: SettledJoint; readonly now: number }) {
  const { settled, name, positions, order } = joint;
  const { rounds } = settled;
  const numberOf = (place: number) => order.indexOf(place) + 1;
  const last = rounds.at(-1)?.nuts ?? [];
  const working = workingOfSettled(settled, name);
  const show = useShowWorking(working ? [working] : []);
  const kind = settled.isSettled ? 'done' : settled.losing.length > 0 ? 'stop' : 'wait';
  return (
    <div className={styles.joint} {...(working && show(working))}>
      <h3>{name}</h3>
      {verdictWords(settled, numberOf).map((words) => (
        <Notice key={words} kind={kind}>
          {words}
        </Notice>
      ))}
      {settled.further && <p>{furtherWords(settled.further)}</p>}
      <div className={styles.seen}>
        <figure>
          <ClampDrawing
            positions={positions}
            shares={last.map((nut) => 1 - (mostLost(nut) ?? 1))}
            label={`What each nut of ${name} held at least before it was last gone over, per cent of its clamp load`}
          />
          <figcaption className="soft">
            Per cent of its clamp load that each held at least, before it was last gone over; a dash where nobody said.
          </figcaption>
        </figure>
        {rounds.length > 1 && (
          <figure>
            <SettledChart
              limit={settled.limit}
              lines={positions.map((_, place) => ({
                number: numberOf(place),
                isLosing: settled.losing.includes(place),
                most: rounds.map(({ nuts }) => mostLost(nuts[place])),
              }))}
              label={`The most that each nut of ${name} may have lost, retorque by retorque`}
            />
            <figcaption className="soft">
              The most that each may have lost, retorque by retorque; those that keep losing are drawn strong.
            </figcaption>
          </figure>
        )}
      </div>
      <Disclosure
        title="Nut by nut"
        line={`${rounds.length} ${rounds.length === 1 ? 'retorque' : 'retorques'}`}
        forms={FORMS}
      >
        <div className={table.frame} tabIndex={0} role="region" aria-label={`${name}, nut by nut`}>
          <table className={table.table}>
            <thead>
              <tr>
                <th scope="col">Number</th>
                {rounds.map(({ roundId, startedAt }) => (
                  <th key={roundId} scope="col">
                    {nearTime(startedAt, now)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {order.map((place, i) => (
                <tr key={place}>
                  <th scope="row">{i + 1}</th>
                  {rounds.map(({ roundId, nuts }) => (
                    <td key={roundId}>{lossWords(nuts[place] ?? { is: 'unsaid' })}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Disclosure>
    </div>
  );
}

/** Whether the joints that were gone over again have settled. */
export const SettledSection = ({ joints, now }: { readonly joints: readonly SettledJoint[]; readonly now: number }) =>
  joints.length > 0 && (
    <Section title="Has it settled?">
      {joints.map((joint) => (
        <Joint key={joint.jointId} joint={joint} now={now} />
      ))}
    </Section>
  );
