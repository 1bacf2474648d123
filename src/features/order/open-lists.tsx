'use client';

import { Checkbox, TextInput } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { ActionForm, Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import styles from './order-screen.module.css';
import type { OrderPage } from './queries';
import { LineForm } from '@/interface/parts/line-form';
import { typedCount, useLine, useLineSender } from '@/interface/record/use-line';

interface Props {
  readonly page: OrderPage;
}

/** Signs an aid in that no step knows of. */
function AidForm({ engineId }: { readonly engineId: string }) {
  const send = useLineSender(engineId);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    'aid-in',
    { name: '', count: '1', inside: false },
    ({ name, count, inside }) => send({ kind: 'aid-in', body: { name, count: typedCount(count), inside } }),
    (_, entered) => entered.reset(),
  );
  return (
    <ActionForm label="Sign an aid in" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput
        label="What goes in"
        description="A rag, a boot, a plug, a holding tool"
        {...fields.getInputProps('name')}
      />
      <TextInput className={form.short} label="How many" {...fields.getInputProps('count')} />
      <Checkbox
        className={form.choice}
        label="Inside the engine: it cannot be closed while it is in"
        {...fields.getInputProps('inside', { type: 'checkbox' })}
      />
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          Sign it in
        </Button>
      </div>
    </ActionForm>
  );
}

const line = (names: readonly string[], none: string) =>
  names.length === 0 ? none : `${names.length}: ${names.slice(0, 3).join('; ')}${names.length > 3 ? ' …' : ''}`;

/** What is in: aids signed in, each with the key that signs it out. */
function InFold({ page }: Props) {
  const { write, pending, problem } = useLine(page.engineId);
  const { aids, strips } = page;
  const names = [
    ...strips.map((where) => `a strip in ${where}`),
    ...aids.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name)),
  ];
  return (
    <Disclosure title="In" id="in" line={line(names, 'nothing is in')} forms={['aid-in']} open={names.length > 0}>
      <ul className="points">
        {strips.map((where) => (
          <li key={where}>A strip in {where}: it is taken out on its fit.</li>
        ))}
        {aids.map(({ key, name, count, inside }) => (
          <li key={key}>
            <b>
              {count > 1 && `${count} × `}
              {name}
            </b>
            {inside && ', inside the engine'}{' '}
            {/* What was counted in is counted out: one by one, or all where all were seen. */}
            {[...new Set([1, count])].map((out) => (
              <button
                key={out}
                type="button"
                className={`text-button ${styles.out}`}
                aria-disabled={pending || undefined}
                onClick={() => write({ kind: 'aid-out', body: { of: key, count: out } })}
              >
                {count === 1 ? 'Out' : out === 1 ? 'One out' : `All ${count} out`}
                <span className="only-spoken"> {name}</span>
              </button>
            ))}
          </li>
        ))}
      </ul>
      <Refusal problem={problem} />
      <AidForm engineId={page.engineId} />
    </Disclosure>
  );
}

/** What is loose: joints by themselves, and what has no joint by hand. */
function LooseFold({ page }: Props) {
  const { write, pending, problem } = useLine(page.engineId);
  const { loose, engineId } = page;
  return (
    <Disclosure
      title="Loose"
      id="loose"
      line={line(
        loose.map(({ words }) => words),
        'nothing is loose',
      )}
      forms={['loose']}
      open={loose.length > 0}
    >
      <ul className="points">
        {loose.map(({ words, jointId, key }) => (
          <li key={words}>
            {jointId ? <Link href={`/engines/${engineId}/joints/${jointId}`}>{words}</Link> : words}{' '}
            {key !== undefined && (
              <button
                type="button"
                className="text-button"
                aria-disabled={pending || undefined}
                onClick={() => write({ kind: 'tight', body: { of: key } })}
              >
                It is done<span className="only-spoken"> {words}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      <Refusal problem={problem} />
      <LineForm
        engineId={engineId}
        name="loose"
        label="Something loose that has no joint"
        hint="Finger-tight, fitted for trial, a tab not bent: what, and where"
        act="Write it down"
        line={(words) => ({ kind: 'loose', body: { words } })}
      />
    </Disclosure>
  );
}

const trayWords = ({ parts, left, short, surplus }: OrderPage['tray']): string => {
  if (parts === 0) return 'nothing on the tray yet';
  if (short === 0 && surplus === 0)
    return left === 0 ? 'balances: nothing over, nothing missing' : `${left} lie ready, nothing over, nothing missing`;
  return [`${left} lie on it`, short > 0 && `${short} short`, surplus > 0 && `${surplus} over`]
    .filter(Boolean)
    .join(', ');
};

/** Loose, in, over: the three lists of which none may be open when the engine is closed or started. */
export const OpenLists = ({ page }: Props) => (
  <>
    <LooseFold page={page} />
    <InFold page={page} />
    <Disclosure title="Over" id="tray" line={`The tray: ${trayWords(page.tray)}`}>
      <p>
        <Link href={`/engines/${page.engineId}/order/tray`}>The tray</Link>: every part and fastener that was taken off,
        bought, made or substituted, and where it goes.
      </p>
      {page.onOrder.length > 0 && (
        <ul className="points">
          {page.onOrder.map((one) => (
            <li key={one}>On order: {one}</li>
          ))}
        </ul>
      )}
    </Disclosure>
    <Disclosure
      title="Lay out"
      id="kit"
      line={
        page.kit.length === 0
          ? 'nothing special for what is open'
          : line([...new Set(page.kit.flatMap(({ what }) => what))], 'helpers')
      }
    >
      <ul className="points">
        {page.kit.map(({ stepId, step, what, people }) => (
          <li key={stepId}>
            <b>{step}</b>: {[...what, people > 1 ? `${people} people` : ''].filter(Boolean).join(', ')}
          </li>
        ))}
      </ul>
    </Disclosure>
  </>
);
