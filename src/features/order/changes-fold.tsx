'use client';

import { NativeSelect, Textarea } from '@mantine/core';
import { useState } from 'react';
import { ActionForm, Refusal } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import { Disclosure } from '@/interface/parts/disclosure';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { pastedSteps } from '@/model/order/pasted-steps';
import { pasteStepsAction } from './actions';
import type { OrderPage } from './queries';
import { LineForm } from '@/interface/parts/line-form';
import { SortList, StepForm } from './fetched-forms';
import { useLine } from '@/interface/record/use-line';
import styles from './order-screen.module.css';

interface Props {
  readonly page: OrderPage;
}

/** A trial build is begun up to a step. */
function TrialForm({ page }: Props) {
  const { write, pending, problem } = useLine(page.engineId);
  const open = page.steps.filter(({ state }) => state !== 'done' && state !== 'stale');
  const [upTo, setUpTo] = useState('');
  return (
    <div className={styles.move}>
      <NativeSelect
        label="Go through loose first, up to"
        description="What is tried does not count; it is taken apart, cleaned, and built for good"
        data={[
          { value: '', label: 'Choose the last step', disabled: true },
          ...open.map(({ step }) => ({ value: step.id, label: step.name })),
        ]}
        value={upTo}
        onChange={(event) => setUpTo(event.currentTarget.value)}
      />
      <Button busy={pending} disabled={upTo === ''} onClick={() => write({ kind: 'trial', body: { upTo } })}>
        Begin a trial build
      </Button>
      <Refusal problem={problem} />
    </div>
  );
}

/** Steps out of a page's own numbered instructions, seen before they are put in. */
function PasteForm({ page }: Props) {
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm('pasted-steps', { engineId: page.engineId, text: '', behind: '' }, pasteStepsAction, (_, entered) =>
    entered.reset(),
  );
  const { text } = fields.getValues();
  const seen = pastedSteps(text);
  const field = fields.getInputProps;
  return (
    <ActionForm label="Steps from a page" onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <Textarea
        className={form.wide}
        label="Numbered instructions of a page"
        description="Pasted or typed; each number becomes a step"
        autosize
        minRows={3}
        maxRows={12}
        {...field('text')}
      />
      <NativeSelect
        label="Behind"
        data={[
          { value: '', label: 'At the end' },
          ...page.steps.map(({ step }) => ({ value: step.id, label: step.name })),
        ]}
        {...field('behind')}
      />
      {seen.length > 0 && (
        <ol className={`${styles.preview} ${form.wide}`} aria-label="What it becomes">
          {seen.map(({ number, name, words }, i) => (
            <li key={`${number} ${i}`}>
              {name}
              {words && <span className="soft">: {words}</span>}
            </li>
          ))}
        </ol>
      )}
      <div className={form.acts}>
        <Button type="submit" busy={pending} disabled={seen.length === 0}>
          {seen.length <= 1 ? 'Put it in' : `Put ${seen.length} steps in`}
        </Button>
      </div>
    </ActionForm>
  );
}

/** What changes the order, or opens parts of it again. */
export function ChangesFold({ page }: Props) {
  const { engineId } = page;
  return (
    <>
      <Disclosure
        title="What happened beside the order"
        line="something was cut; the crank was turned"
        forms={['swarf', 'turned']}
      >
        <LineForm
          engineId={engineId}
          name="swarf"
          label="Cut, honed or filed"
          hint="It makes swarf: every cleaning is open again"
          act="Swarf was made"
          line={(words) => ({ kind: 'swarf', body: { words } })}
        />
        <LineForm
          engineId={engineId}
          name="turned"
          label="The crank was turned"
          hint="A timing that was set is to be looked at again"
          act="It was turned"
          line={(words) => ({ kind: 'turned', body: { words } })}
        />
      </Disclosure>
      {page.steps.length > 1 && (
        <Disclosure title="Put steps elsewhere" line="by dragging, or with the arrow keys">
          <SortList page={page} />
        </Disclosure>
      )}
      {!page.trial && page.steps.length > 0 && (
        <Disclosure title="Trial build" line="a stretch of it loose first">
          <TrialForm page={page} />
        </Disclosure>
      )}
      <Disclosure
        title="More steps"
        line="one of its own, or a page’s numbered lines"
        forms={['step-behind-', 'pasted-steps']}
        id="more"
      >
        <StepForm page={page} onDone={() => undefined} />
        <PasteForm page={page} />
      </Disclosure>
    </>
  );
}
