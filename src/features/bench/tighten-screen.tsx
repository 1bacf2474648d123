'use client';

import { Link } from '@/interface/parts/link';
import type { FastenerMark, Position } from '@/core/tightening';
import key from '@/interface/parts/button.module.css';
import { Notice, Screen } from '@/interface/parts/screen';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { useRest } from '@/interface/parts/use-rest';
import { useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import { PatternDrawing } from '@/interface/pattern/pattern-drawing';
import styles from './tighten-screen.module.css';

export interface TightenLine {
  readonly jointId: string;
  readonly name: string;
  readonly positions: readonly Position[];
  readonly order: readonly number[];
  readonly marks: readonly FastenerMark[];
  readonly caps: boolean;
  readonly line: string;
  readonly retorque: string;
  readonly href: string;
  readonly act: string;
  readonly ready: boolean;
  /** The round under way: what was ticked on its paper card can be copied into it. */
  readonly roundId?: string;
}

const AT_THE_BENCH: Working = {
  title: 'Before the first pull',
  remarks: [
    ['By hand', 'Run every fastener down by hand first. One that will not go is taken out again and looked at.'],
    ['Pull', 'Smooth and slow, shortest extension, something to hold the other end still.'],
    ['Signs', 'Open ring: not pulled. A tick: one pass. A line across: final. A triangle: look at it.'],
  ],
  caution:
    'The engine’s stand is locked before a bar goes on. Stand so that a slip hurts nobody: a stud that shears gives no warning.',
};

/** How many joints are seen before the sheet is moved. */
const DRAWN_WITH_THE_PAGE = 6;

/** Puts what holds for every joint into the margin. */
function Margin() {
  useDefaultWorking(AT_THE_BENCH);
  return null;
}

/** Every joint with where its tightening stands, and the way to its face. */
export const TightenScreen = sentInColumns<{
  readonly engineId: string;
  readonly lines: readonly TightenLine[];
}>(function Tighten({ engineId, lines }) {
  const all = useRest();
  return (
    <Screen title="Tighten" lead="Any of these can be left for as long as need be; it goes on at the same fastener.">
      <Margin />
      {lines.length === 0 && (
        <Notice kind="plain">
          There is no joint yet. <Link href={`/engines/${engineId}/joints`}>Make one from an entry of the book.</Link>
        </Notice>
      )}
      <ul>
        {lines.map((line, i) => (
          <li key={line.jointId} className={styles.line}>
            <div className={styles.drawing}>
              {(all || i < DRAWN_WITH_THE_PAGE) && (
                <PatternDrawing
                  positions={line.positions}
                  order={line.order}
                  marks={line.marks}
                  caps={line.caps}
                  label={`${line.name}: ${line.line}`}
                />
              )}
            </div>
            <div>
              <h2 className={styles.name}>{line.name}</h2>
              <p>{line.line}</p>
              <p className="soft">{line.retorque}</p>
              {line.roundId !== undefined && (
                <p>
                  <Link href={`/engines/${engineId}/tighten/${line.roundId}`}>
                    Copy a paper card<span className="only-spoken"> of {line.name}</span>
                  </Link>
                </p>
              )}
            </div>
            <Link href={line.href} className={key.key} data-rank={line.ready ? 'main' : 'plain'}>
              {line.act}
              <span className="only-spoken"> {line.name}</span>
            </Link>
          </li>
        ))}
      </ul>
    </Screen>
  );
});
