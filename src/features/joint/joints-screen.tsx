'use client';

import { Link } from '@/interface/parts/link';
import { useRouter } from 'next/navigation';
import { useMemo, type ReactNode } from 'react';
import type { Rung } from '@/core/joint';
import type { TorqueUnit } from '@/core/units';
import { otherUnitOf } from '@/interface/figures/figures';
import { useFigures } from '@/interface/figures/preferences';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import key from '@/interface/parts/button.module.css';
import { Notice, Screen } from '@/interface/parts/screen';
import { useShowWorking, useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import { kindLetter } from '@/interface/words/kind-words';
import styles from './joints-screen.module.css';
import { workingOfRung } from './rung-working';

export interface JointSummary {
  readonly id: string;
  readonly name: string;
  readonly printed: string;
  readonly thread: string;
  /** Of the joint’s own kind. */
  readonly fasteners: number;
  /** Fasteners that are pulled to another figure. */
  readonly kinds: readonly {
    readonly name: string;
    readonly count: number;
    readonly thread: string;
    readonly setting: number;
    readonly unit: TorqueUnit;
    /** Empty where nothing is turned after the torque. */
    readonly turns: string;
  }[];
  readonly setting: number;
  readonly unit: TorqueUnit;
  /** What is turned after the torque. */
  readonly turns?: string;
  /** What the wrench delivers at its mark, as the sheet and the bench have it. */
  readonly delivered_Nm: number;
  readonly film: string;
  readonly status: string;
  readonly done: boolean;
  readonly stops: number;
  readonly asks: number;
  readonly unknown: number;
  /** The rung on which the figure moves most: what the margin shows of this joint. */
  readonly filmRung?: Rung;
}

const workingOf = ({ filmRung, name }: JointSummary): Working | undefined =>
  filmRung && { ...workingOfRung(filmRung), title: name };

interface Of {
  readonly engineId: string;
  readonly joints: readonly JointSummary[];
  readonly canAdd: boolean;
}

/** Every joint of the engine: what is printed, what to set, where it stands. */
export const JointsScreen = sentInColumns<Of, { readonly children?: ReactNode }>(function Joints({
  engineId,
  joints,
  canAdd,
  children,
}) {
  const router = useRouter();
  const { plain, torque, unit } = useFigures();
  const show = useShowWorking(joints.flatMap((joint) => workingOf(joint) ?? []));
  const first = joints.find((joint) => joint.filmRung)?.filmRung;
  useDefaultWorking(useMemo(() => first && workingOfRung(first), [first]));
  const at = (path: string) => `/engines/${engineId}/${path}`;
  useSingleKeys(canAdd ? { n: () => router.push(at('joints/new')) } : {});
  return (
    <Screen
      title="Joints"
      lead="Each joint: the figure on the page, and the figure to set."
      aside={
        canAdd && (
          <Link href={at('joints/new')} className={key.key} data-rank="main">
            New joint
          </Link>
        )
      }
    >
      {!canAdd && (
        <Notice kind="plain">
          A joint is made from an entry that gives a torque. <Link href={at('book')}>Enter one in the book first</Link>,
          or <Link href={at('joints/new')}>take the standard figure where no figure is printed</Link>.
        </Notice>
      )}
      {joints.length > 0 && (
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">Joint</th>
              <th scope="col">Printed</th>
              <th scope="col">Lubricant today</th>
              <th scope="col" className={styles.right}>
                Set to
              </th>
              <th scope="col">Status</th>
            </tr>
          </thead>
          <tbody>
            {joints.map((joint) => {
              const working = workingOf(joint);
              return (
                <tr key={joint.id} {...(working && show(working))}>
                  <th scope="row">
                    <Link href={at(`joints/${joint.id}`)}>{joint.name}</Link>
                    <span className={styles.small}>
                      {joint.kinds.length > 0 && `${kindLetter(0)} `}
                      {joint.fasteners} × {joint.thread}
                    </span>
                    {joint.kinds.map(({ name, count, thread }, i) => (
                      <span key={name} className={styles.small}>
                        {kindLetter(i + 1)} {count} × {thread}, {name}
                      </span>
                    ))}
                  </th>
                  <td className="printed">“{joint.printed}”</td>
                  <td>{joint.film}</td>
                  <td className={styles.right}>
                    <span className={styles.setting}>
                      {joint.setting > 0 ? `${plain(joint.setting)} ${joint.unit}` : 'not with this wrench'}
                    </span>
                    {joint.turns && <span className={styles.turns}>then {joint.turns}</span>}
                    <span className={styles.small}>
                      delivers {torque(joint.delivered_Nm, 3, joint.unit === unit ? otherUnitOf(unit) : unit)}
                    </span>
                    {joint.kinds.map(({ name, setting, unit: of, turns }, i) => (
                      <span key={name} className={styles.turns}>
                        {kindLetter(i + 1)}: {setting > 0 ? `${plain(setting)} ${of}` : 'not with its wrench'}
                        {turns && `, then ${turns}`}
                      </span>
                    ))}
                  </td>
                  <td data-done={joint.done || undefined} className={styles.stands}>
                    {joint.status}
                    {joint.stops > 0 && (
                      <span className={styles.stops}>
                        ▲ {joint.stops === 1 ? 'Something stands' : `${joint.stops} things stand`} against it.
                      </span>
                    )}
                    {joint.stops === 0 && joint.asks > 0 && (
                      <span className={styles.asks}>
                        △ {joint.asks === 1 ? 'One thing' : `${joint.asks} things`} to look at.
                      </span>
                    )}
                    {joint.unknown > 0 && <span className={styles.small}>{joint.unknown} not known</span>}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {children}
    </Screen>
  );
});
