'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useMemo, useState } from 'react';
import { usualBearingFace } from '@/core/fastener';
import { filmOfCondition, SHELF_FILMS, type Film } from '@/core/film';
import { correct } from '@/core/joint';
import { threadOnLine, type TorqueReading } from '@/core/print';
import { threadNamed, type Thread } from '@/core/thread';
import { isDomainError } from '@/core/units';
import { otherUnitOf } from '@/interface/figures/figures';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import form from '@/interface/parts/form.module.css';
import { overlaid } from '@/model/shelf/overlaid';
import { TorqueReadingView, readPrint } from '@/interface/parts/torque-reading';
import styles from './quick-reckoner.module.css';

const threadOr = (text: string): { readonly thread?: Thread; readonly refusal?: string } => {
  if (text.trim() === '') return {};
  try {
    return { thread: threadNamed(text) };
  } catch (error) {
    if (isDomainError(error)) return { refusal: error.message };
    throw error;
  }
};

interface FilmsProps {
  readonly reading: TorqueReading;
  readonly thread: Thread;
  readonly book: Film;
  readonly films: readonly Film[];
}

/** The same clamp load in every film: what to set, beside what the book has in mind. */
function FilmsSideBySide({ reading, thread, book, films }: FilmsProps) {
  const { torque, significant, unit } = useFigures();
  const printed = (reading.min_Nm + reading.max_Nm) / 2;
  const turned = (film: Film) => ({
    thread,
    bearing: usualBearingFace(thread),
    muThread: film.thread.middle,
    muHead: film.head.middle,
  });
  return (
    <table className={styles.films}>
      <caption>
        The clamp load that {torque(printed)} gives in {book.name.toLowerCase()}, in each lubricant. A usual face for
        the size.
      </caption>
      <thead>
        <tr>
          <th scope="col">Lubricant</th>
          <th scope="col">{unit}</th>
          <th scope="col">{otherUnitOf(unit)}</th>
          <th scope="col">×</th>
        </tr>
      </thead>
      <tbody>
        {films.map((film) => {
          const { torque_Nm, ratio } = correct(printed, turned(book), turned(film));
          return (
            <tr key={film.id} data-book={film.id === book.id || undefined}>
              <th scope="row">{film.name}</th>
              <td>{torque(torque_Nm).replace(` ${unit}`, '')}</td>
              <td>{torque(torque_Nm, 3, otherUnitOf(unit)).replace(` ${otherUnitOf(unit)}`, '')}</td>
              <td>{significant(ratio)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface Props {
  /** The films that the shop wrote itself, beside those that are shipped. */
  readonly ownFilms: readonly Film[];
}

/** A figure read off a page without any engine: every unit, and the films side by side for a thread. */
export function QuickReckoner({ ownFilms }: Props) {
  const films = useMemo(() => overlaid(SHELF_FILMS, ownFilms), [ownFilms]);
  const [text, setText] = useState('');
  const [choice, setChosen] = useState(-1);
  const [threadTyped, setThreadText] = useState<string>();
  const [bookFilm, setBookFilm] = useState('');
  const read = useMemo(() => readPrint(text), [text]);
  // Nothing is chosen where it is asked; the thread is empty but where the line itself names one.
  const chosen = read.ok && read.print.kind !== 'turn' && read.print.ambiguous ? choice : 0;
  const onLine = read.ok ? (threadOnLine(read.print.notTaken) ?? '') : '';
  const threadText = threadTyped ?? onLine;
  const { thread, refusal } = useMemo(() => threadOr(threadText), [threadText]);
  const reading = read.ok && read.print.kind !== 'turn' ? read.print.readings[chosen] : undefined;
  const said = read.ok && read.print.condition ? filmOfCondition(read.print.condition) : undefined;
  const book = films.find((film) => film.id === (bookFilm || said));
  const type = (next: string) => {
    setText(next);
    setChosen(-1);
  };
  return (
    <HydrationGate>
      <TextInput
        label="As printed on the page"
        placeholder="5½ mkg, threads oiled"
        value={text}
        onChange={(event) => type(event.currentTarget.value)}
        size="lg"
        data-autofocus
        autoComplete="off"
      />
      <div aria-live="polite">
        {text.trim() !== '' && <TorqueReadingView read={read} chosen={chosen} onChoose={setChosen} everyUnit />}
      </div>
      {reading && (
        <>
          <div className={`${form.grid} ${form.broad}`}>
            <TextInput
              label="Thread"
              description={onLine && threadTyped === undefined ? 'From the printed line' : '3/8 BSF, M8, 2 BA …'}
              value={threadText}
              error={
                refusal && (
                  <>
                    {refusal} <Link href="/shelves/threads">Find it by caliper and gauge</Link>
                  </>
                )
              }
              onChange={(event) => setThreadText(event.currentTarget.value)}
            />
            <NativeSelect
              label="The book has in mind"
              value={book?.id ?? ''}
              data={[
                { value: '', label: 'not said: choose' },
                ...films.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChange={(event) => setBookFilm(event.currentTarget.value)}
            />
          </div>
          {(!thread || !book) && !refusal && (
            <p className="soft">Give the thread, and what the page has in mind, for the lubricants side by side.</p>
          )}
          {thread && book && <FilmsSideBySide reading={reading} thread={thread} book={book} films={films} />}
        </>
      )}
    </HydrationGate>
  );
}
