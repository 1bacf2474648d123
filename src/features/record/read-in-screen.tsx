'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { fullDate } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { chosenAnew, textOfFile } from '@/interface/parts/file-text';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Notice, Screen, Section } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { previewBuildAction, readBackAction } from './actions';
import type { Coming } from './adoption';
import type { BuildPreview, ToldFigure } from './build-preview';
import styles from './read-in-screen.module.css';

const WHAT: Readonly<Record<Coming['what'], string>> = {
  film: 'Lubricant',
  grade: 'Grade',
  metal: 'Metal',
  wrench: 'Wrench',
  source: 'Source',
  shims: 'Drawer of shims',
};

const AS: Readonly<Record<Coming['as'], string>> = {
  new: 'not here yet',
  beside: 'another of that name or number is here and stays as it is; this one stands beside it, for this engine',
};

const NOT_HUNG = 'does not hang here; it serves this engine alone until it is entered on the shelf';

/** What the file holds, one line each. */
const Holds = ({ preview: { holds, engine, writtenAt, copied } }: { readonly preview: BuildPreview }) => (
  <Section title="What it holds">
    <p>
      <b>{engine}</b>, written out {fullDate(writtenAt)}.
    </p>
    {copied && <Notice kind="wait">This engine stands here already: a copy is put beside it.</Notice>}
    <dl className={`label-value ${styles.facts}`}>
      {holds.map(({ what, count }) => (
        <div key={what}>
          <dt>{what}</dt>
          <dd className="figure">{count}</dd>
        </div>
      ))}
    </dl>
    <p className="soft">Photographs are not in a build file.</p>
  </Section>
);

const ComesAlong = ({ preview: { coming, practice } }: { readonly preview: BuildPreview }) => (
  <Section title="What comes along">
    {coming.length + practice.length === 0 && <p>Nothing: all that it draws on is here, and says the same.</p>}
    <dl className={`label-value ${styles.facts}`}>
      {coming.map(({ what, name, as }) => (
        <div key={`${what} ${name}`}>
          <dt>{WHAT[what]}</dt>
          <dd>
            <b>{name}</b>: {what === 'wrench' ? NOT_HUNG : AS[as]}.
          </dd>
        </div>
      ))}
      {practice.map(({ question, answer }) => (
        <div key={question}>
          <dt>{question}</dt>
          <dd>
            <b>{answer}</b>, kept with this engine: it is not this shop’s practice.
          </dd>
        </div>
      ))}
    </dl>
    <p className="soft">No other engine of this shop draws on any of it.</p>
  </Section>
);

const Told = ({ figure, wrench }: ToldFigure) => (
  <>
    <span className="figure">{figure}</span> on {wrench}
  </>
);

const Differs = ({ preview: { figures, same } }: { readonly preview: BuildPreview }) => (
  <Section title="What would differ here">
    {same > 0 && (
      <p>{same === 1 ? 'One joint comes' : `${same} joints come`} to the same figure as where it was written.</p>
    )}
    {figures.length > 0 && (
      <ul className={styles.changes}>
        {figures.map(({ joint, there, here }) => (
          <li key={joint}>
            <b>{joint}</b>: <Told {...here} /> here,{' '}
            {there ? (
              <>
                <Told {...there} /> there.
              </>
            ) : (
              'and the file does not say what it was there.'
            )}
          </li>
        ))}
      </ul>
    )}
    {figures.length + same === 0 && <p>It has no joint that could be worked out.</p>}
  </Section>
);

const Unread = ({ preview: { unread } }: { readonly preview: BuildPreview }) =>
  unread.length > 0 && (
    <Section title="What could not be read">
      <p>This program does not know these parts of the file; they are left out.</p>
      <p className={styles.paths}>{unread.join(', ')}</p>
    </Section>
  );

const BackAgain = ({ preview: { backAgain } }: { readonly preview: BuildPreview }) =>
  backAgain.length > 0 && (
    <Section title="Set aside there, worked with here">
      <ul className={styles.changes}>
        {backAgain.map(({ name, why }, i) => (
          <li key={i}>
            <b>{name}</b>: {why}
          </li>
        ))}
      </ul>
    </Section>
  );

interface Chosen {
  readonly name: string;
  readonly text: string;
  readonly preview: BuildPreview;
}

/** What a page may send at once. */
const MOST_MB = 60;
const OTHER_SIGNS =
  'The file was saved anew by another program: it is no longer in UTF-8, in which it was written out, and names and printed texts in it may have changed. Read in the file as it was written out.';

/** A build file, looked at before it is read in: what it holds, what comes along, what would differ. */
export function ReadInScreen() {
  const router = useRouter();
  const [chosen, setChosen] = useState<Chosen>();
  const [refusal, setRefusal] = useState<string>();
  const { act, pending, problem } = useAct();
  const look = async (file: File | undefined) => {
    if (!file) return;
    const read = await textOfFile(file, MOST_MB);
    const isOther = 'guess' in read;
    setRefusal('refusal' in read ? read.refusal : isOther ? OTHER_SIGNS : undefined);
    if ('refusal' in read || isOther) return setChosen(undefined);
    const { text } = read;
    act(
      () => previewBuildAction({ text }),
      (preview) => setChosen({ name: file.name, text, preview }),
      () => setChosen(undefined),
    );
  };
  const read = ({ text }: Chosen) =>
    act(
      () => readBackAction({ text }),
      ({ href }) => router.push(href),
    );
  return (
    <Screen
      title="A build read in"
      lead="An engine, or one joint of it, as this or another shop wrote it out. Nothing is written until you agree."
    >
      <HydrationGate>
        <Section title="The file">
          <label className={form.file}>
            Choose it{' '}
            <input
              type="file"
              accept=".json,application/json"
              aria-label="Build file"
              disabled={pending}
              onClick={chosenAnew}
              onChange={(event) => void look(event.currentTarget.files?.[0])}
            />
          </label>
          {refusal !== undefined && <Notice kind="stop">{refusal}</Notice>}
          {refusal === undefined && problem && <Notice kind="stop">{problem.message}</Notice>}
        </Section>
        {chosen && (
          <>
            <Holds preview={chosen.preview} />
            <ComesAlong preview={chosen.preview} />
            <Differs preview={chosen.preview} />
            <BackAgain preview={chosen.preview} />
            <Unread preview={chosen.preview} />
            <p className={`${form.acts} ${styles.foot}`}>
              <Button rank="main" onClick={() => read(chosen)} disabled={pending}>
                Read {chosen.preview.engine} in
              </Button>
              <Button onClick={() => setChosen(undefined)} disabled={pending}>
                Leave it
              </Button>
            </p>
          </>
        )}
      </HydrationGate>
    </Screen>
  );
}
