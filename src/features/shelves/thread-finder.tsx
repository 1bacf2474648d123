'use client';

import { isDomainError, type Note, plainFigure } from '@/core/units';
import { TextInput } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useMemo, useState } from 'react';
import { identifyThread, ownDesignation, ownRow, threadNamed, threadsForSpanner, type OwnThread } from '@/core/thread';
import { readLength } from '@/core/print';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import form from '@/interface/parts/form.module.css';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { useShowWorking, useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import styles from './shelves.module.css';

interface Found {
  readonly designation: string;
  readonly remark: string;
}

interface Answer {
  readonly found: readonly Found[];
  readonly notes: readonly Note[];
  readonly refusal?: string;
}

const NOTHING: Answer = { found: [], notes: [] };
const HOW: Working = {
  title: 'Finding a thread',
  remarks: [
    ['Caliper', 'over the crests of a good length of thread; a worn one reads a tenth or two small.'],
    ['Gauge', 'the leaf that shows no light, over as many threads as it reaches.'],
    ['Spanner', 'names a hexagon, and one hexagon was sold with several threads.'],
  ],
  caution: 'Try a known nut by hand before any force: a thread forced into another strips the parent.',
};

const lengthOf = (text: string) => plainFigure(text) ?? readLength(text).min_mm;

const trying = (work: () => Answer): Answer => {
  try {
    return work();
  } catch (error) {
    if (isDomainError(error)) return { ...NOTHING, refusal: error.message };
    throw error;
  }
};

/** By caliper and pitch gauge; a pitch with `tpi`, or above 8, is threads to the inch. */
function byCaliper(
  major: string,
  pitch: string,
  own: readonly OwnThread[],
  errorText: (major: number, pitch?: number) => string,
): Answer {
  if (major.trim() === '') return NOTHING;
  return trying(() => {
    const major_mm = lengthOf(major);
    const figure = plainFigure(/[\d.,]+/.exec(pitch)?.[0] ?? '') ?? 0;
    const given =
      pitch.trim() === '' || !(figure > 0)
        ? {}
        : /tpi|inch|"/i.test(pitch) || figure > 8
          ? { tpi: figure }
          : { pitch_mm: figure };
    const { candidates, notes } = identifyThread(
      { major_mm, ...given },
      own.flatMap((one) => ownRow(one.major_mm, one.pitch_mm, one.angle_deg) ?? []),
    );
    return {
      found: candidates
        .slice(0, 8)
        .map((one) => ({ designation: one.designation, remark: errorText(one.majorError_mm, one.pitchError_mm) })),
      notes,
    };
  });
}

const bySpanner = (text: string): Answer =>
  text.trim() === ''
    ? NOTHING
    : trying(() => ({
        notes: [],
        found: threadsForSpanner(lengthOf(text)).map(({ row, standard }) => ({
          designation: row.designation,
          remark: standard,
        })),
      }));

function workingOfThread(designation: string, significant: (value: number, digits: number) => string): Working {
  const thread = threadNamed(designation);
  const flats = thread.acrossFlats_mm?.map((flat) => `${significant(flat.mm, 4)} mm (${flat.standard})`).join('; ');
  return {
    title: designation,
    lines: [
      {
        formula: 'd2, d3, As',
        figures: [
          { value: thread.pitchDiameter_mm, digits: 5 },
          ' mm, ',
          { value: thread.minorDiameter_mm, digits: 5 },
          ' mm, ',
          { value: thread.stressArea_mm2, digits: 4 },
          ' mm²',
        ],
      },
    ],
    remarks: [['Flats', flats ?? 'not in the table']],
  };
}

function List({
  answer,
  called,
}: {
  readonly answer: Answer;
  readonly called: (designation: string) => string | undefined;
}) {
  const { significant } = useFigures();
  const workingOf = (designation: string) => workingOfThread(designation, significant);
  const show = useShowWorking(answer.found.map(({ designation }) => workingOf(designation)));
  if (answer.refusal) return <Notice kind="stop">{answer.refusal}</Notice>;
  return (
    <div aria-live="polite">
      {answer.notes.map((note) => (
        <Notice key={note.code} kind="wait">
          {note.message}
        </Notice>
      ))}
      <ul className={styles.rows}>
        {answer.found.map(({ designation, remark }) => {
          const thread = threadNamed(designation);
          return (
            <li key={designation} className={styles.row} tabIndex={0} {...show(workingOf(designation))}>
              <span>
                <b>{called(designation) ?? designation}</b>{' '}
                <span className="figure">
                  {significant(thread.major_mm, 5)} × {significant(thread.pitch_mm, 4)} mm, {significant(thread.tpi, 4)}{' '}
                  to the inch
                </span>
              </span>
              <span className={styles.remark}>{remark}</span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

/** The finder: a caliper and a pitch gauge, or the spanner that fits, give the candidates and warn of look-alikes. */
export function ThreadFinder({ own }: { readonly own: readonly OwnThread[] }) {
  const called = (designation: string) => own.find((one) => ownDesignation(one) === designation)?.name;
  const { significant } = useFigures();
  const [major, setMajor] = useState('');
  const [pitch, setPitch] = useState('');
  const [spanner, setSpanner] = useState('');
  useDefaultWorking(HOW);
  const caliper = useMemo(() => {
    const signed = (value: number) => `${value < 0 ? '−' : '+'}${significant(Math.abs(value), 2)}`;
    return byCaliper(
      major,
      pitch,
      own,
      (error, off) =>
        `${signed(error)} mm on the diameter${off === undefined ? '' : `, ${signed(off)} mm on the pitch`}`,
    );
  }, [major, pitch, own, significant]);
  return (
    <Screen
      title="Threads"
      lead={
        <>
          What is in the hand, named. The tables are BS 84, BS 93, BS 811, ISO 261 and ASME B1.1.{' '}
          <Link href="/shelves/threads-own">Threads of our own</Link>
        </>
      }
    >
      <HydrationGate>
        <Section title="By caliper and pitch gauge">
          <div className={form.grid}>
            <TextInput
              label="Over the crests"
              description="mm, or with its unit: 3/8 in"
              value={major}
              onChange={(event) => setMajor(event.currentTarget.value)}
            />
            <TextInput
              label="Pitch gauge"
              description="mm, or threads to the inch: 20 tpi"
              value={pitch}
              onChange={(event) => setPitch(event.currentTarget.value)}
            />
          </div>
          <List answer={caliper} called={called} />
        </Section>
        <Section title="By the spanner that fits">
          <div className={form.grid}>
            <TextInput
              label="Across the flats"
              description="mm, or with its unit: 0.710 in"
              value={spanner}
              onChange={(event) => setSpanner(event.currentTarget.value)}
            />
          </div>
          <List answer={bySpanner(spanner)} called={called} />
        </Section>
      </HydrationGate>
    </Screen>
  );
}
