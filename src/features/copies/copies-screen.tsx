'use client';

import { Link } from '@/interface/parts/link';
import { useRef, useState } from 'react';
import { fullTime } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Notice, Screen, Section } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import type { Result } from '@/model/result';
import { makeCopyAction, putInPlaceAction } from './shop-actions';
import styles from './copies-screen.module.css';

const HOW = { daily: 'made by itself', 'by-hand': 'made by hand', brought: 'brought from elsewhere' } as const;

export interface ListedCopy {
  readonly name: string;
  readonly kind: keyof typeof HOW;
  readonly madeAt: string;
  readonly bytes: number;
}

const size = (bytes: number) => (bytes < 1e6 ? `${Math.ceil(bytes / 1e3)} kB` : `${(bytes / 1e6).toFixed(1)} MB`);

const send = async (file: File): Promise<Result<{ readonly rows: number }>> =>
  (await (await fetch('/api/copies', { method: 'POST', body: file })).json()) as Result<{ readonly rows: number }>;

interface CopyProps {
  readonly copy: ListedCopy;
  readonly asked: boolean;
  readonly pending: boolean;
  readonly onAsk: (name: string | undefined) => void;
  readonly onPut: (name: string) => void;
}

function Copy({ copy: { name, kind, madeAt, bytes }, asked, pending, onAsk, onPut }: CopyProps) {
  return (
    <li className={styles.copy}>
      <span>
        <b>{fullTime(madeAt)}</b>, {HOW[kind]}, <span className="figure">{size(bytes)}</span>
      </span>
      <span className={styles.ways}>
        <a href={`/api/copies/${name}`} download>
          Download<span className="only-spoken"> the copy of {fullTime(madeAt)}</span>
        </a>
        <Button onClick={() => onAsk(asked ? undefined : name)} aria-expanded={asked} disabled={pending}>
          Put in place<span className="only-spoken"> the copy of {fullTime(madeAt)}</span>
        </Button>
      </span>
      {asked && (
        <div className={styles.sure}>
          <Notice kind="wait">
            The shop becomes what it was then. What is in place now is kept aside in the same folder, with every pull.
          </Notice>
          <p className={form.acts}>
            <Button rank="stop" onClick={() => onPut(name)} disabled={pending}>
              Put this copy in place
            </Button>
            <Button onClick={() => onAsk(undefined)}>Leave it</Button>
          </p>
        </div>
      )}
    </li>
  );
}

/** The copies of a person's own shop: made by itself once a day and by hand, taken along, brought, put in place. */
export function CopiesScreen({ copies }: { readonly copies: readonly ListedCopy[] }) {
  const [asked, setAsked] = useState<string>();
  const [said, setSaid] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  const { act, pending, problem } = useAct();
  const tell = (words: string) => {
    setSaid(words);
    setAsked(undefined);
  };
  const make = () => act(makeCopyAction, ({ rows }) => tell(`Copied and looked through: whole, ${rows} rows.`));
  const put = (name: string) =>
    act(
      () => putInPlaceAction({ name }),
      ({ rows, aside }) =>
        tell(`In place: whole, ${rows} rows.${aside === undefined ? '' : ` What was there is kept aside: ${aside}`}`),
    );
  const bring = (chosen: File) =>
    act(
      async () => {
        if (file.current) file.current.value = '';
        return send(chosen);
      },
      ({ rows }) => {
        tell(`Brought and looked through: whole, ${rows} rows. It is in the list, and not yet in place.`);
        window.location.reload();
      },
    );
  return (
    <Screen
      title="Copies of the shop"
      lead="A copy is made by itself once a day while the program runs; the latest seven are kept."
      aside={<Link href="/">Back to the stands</Link>}
    >
      <HydrationGate>
        <p className={form.acts}>
          <Button rank="main" onClick={make} disabled={pending}>
            Make a copy now
          </Button>
          <label className={form.file}>
            or bring one from elsewhere{' '}
            <input
              ref={file}
              type="file"
              accept=".sqlite"
              aria-label="A copy from elsewhere"
              disabled={pending}
              onChange={(event) => [...(event.currentTarget.files ?? [])].slice(0, 1).forEach(bring)}
            />
          </label>
        </p>
        {problem && <Notice kind="stop">{problem.message}</Notice>}
        {said && !problem && <Notice kind="done">{said}</Notice>}
        <Section title="Those there are">
          {copies.length === 0 && <p>None yet.</p>}
          <ul>
            {copies.map((copy) => (
              <Copy
                key={copy.name}
                copy={copy}
                asked={asked === copy.name}
                pending={pending}
                onAsk={setAsked}
                onPut={put}
              />
            ))}
          </ul>
          <p className="soft">
            They lie on the same disk as the shop. Take one along to another now and then: a disk that fails takes both.
          </p>
        </Section>
      </HydrationGate>
    </Screen>
  );
}
