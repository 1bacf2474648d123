'use client';

import { Checkbox, TextInput } from '@mantine/core';
import { useState } from 'react';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { NotesSeen } from '@/interface/parts/notes-seen';
import { TakeAway } from '@/interface/parts/take-away';
import { LineForm } from '@/interface/parts/line-form';
import { useActionForm } from '@/interface/parts/use-action-form';
import { CHECK_WORDS } from '@/interface/words/order-words';
import { ARRIVAL_CHECKS, isNewHere } from '@/model/order/part';
import type { TrayPart } from '@/model/order/tray';
import { PartForm } from './part-form';
import type { TrayPage } from './queries';
import { typedCount, useLineSender } from '@/interface/record/use-line';
import styles from './tray-screen.module.css';

interface Props {
  readonly page: TrayPage;
  readonly one: TrayPart;
}

/** What came, and what was tried of it. */
function ArrivalForm({ page, one: { part, short } }: Props) {
  const send = useLineSender(page.engineId);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    `part-in-${part.id}`,
    { count: short > 0 ? String(short) : '0', checked: [] as string[] },
    ({ count, checked }) =>
      typedCount(count) === 0
        ? send({ kind: 'part-checked', partId: part.id, body: { checked } })
        : send({ kind: 'part-in', partId: part.id, body: { count: typedCount(count), checked } }),
    (_, entered) => entered.reset(),
  );
  return (
    <ActionForm label={`Came: ${part.name}`} onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput className={form.short} label="Came" description="0: only checked" {...fields.getInputProps('count')} />
      <Checkbox.Group
        className={form.choice}
        label="Tried before anything is built over it"
        {...fields.getInputProps('checked')}
      >
        {ARRIVAL_CHECKS.map((check) => (
          <Checkbox key={check} value={check} label={CHECK_WORDS[check]} mt="xs" />
        ))}
      </Checkbox.Group>
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          Check it in
        </Button>
      </div>
    </ActionForm>
  );
}

/** Strikes parts off the tray, with the reason. */
function OffForm({ page, one: { part, left } }: Props) {
  const send = useLineSender(page.engineId);
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    `part-off-${part.id}`,
    { count: String(left), reason: '' },
    ({ count, reason }) => send({ kind: 'part-off', partId: part.id, body: { count: typedCount(count), reason } }),
    (_, entered) => entered.reset(),
  );
  return (
    <ActionForm label={`Strike off: ${part.name}`} onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <TextInput className={form.short} label="Strike off" {...fields.getInputProps('count')} />
      <TextInput
        className={form.double}
        label="Why"
        description="Spare, lost, scrapped, belongs elsewhere"
        {...fields.getInputProps('reason')}
      />
      <div className={form.acts}>
        <Button type="submit" rank="stop" busy={pending}>
          Strike off
        </Button>
      </div>
    </ActionForm>
  );
}

/** What is done about one part. */
export function PartActs({ page, one }: Props) {
  const [changing, setChanging] = useState(false);
  const { part, short, left } = one;
  if (changing) return <PartForm page={page} part={part} onDone={() => setChanging(false)} />;
  return (
    <div className={styles.acts}>
      {(short > 0 || isNewHere(part)) && <ArrivalForm page={page} one={one} />}
      {short > 0 && (
        <LineForm
          engineId={page.engineId}
          name={`part-order-${part.id}`}
          label="On order"
          hint="What, from where, by when"
          act="It is ordered"
          line={(words) => ({ kind: 'part-order', partId: part.id, body: { words } })}
        />
      )}
      {left > 0 && <OffForm page={page} one={one} />}
      <NotesSeen
        href={`/engines/${page.engineId}/order/tray/${part.id}`}
        notes={page.notes.filter(({ partId }) => partId === part.id)}
      />
      <p className={styles.keys}>
        <Button onClick={() => setChanging(true)}>Change this part</Button>
        <TakeAway kind="part" id={part.id} name={part.name} />
      </p>
    </div>
  );
}
