'use client';

import { useForm, type UseFormReturnType } from '@mantine/form';
import { useRef, useState, useTransition } from 'react';
import type { Problem, Result, Stale } from '@/model/result';
import { useOfferUndo } from './undo';
import { useDraft, type KeptDraft } from './use-draft';

/** A refusal that belongs to no field; where the row was changed elsewhere, with the way to put one's own over it. */
export interface FormProblem extends Problem {
  readonly overrule?: () => void;
}

interface ActionForm<Values extends Record<string, unknown>> {
  readonly form: UseFormReturnType<Values>;
  readonly submit: () => void;
  readonly pending: boolean;
  readonly problem?: FormProblem;
  readonly draft: KeptDraft;
}

/** Refusals by the form's own fields: what is sent may lie deeper than the cell that it was typed into. */
const ownFields = (fields: Readonly<Record<string, string>>, own: object): Record<string, string> =>
  Object.fromEntries(
    Object.entries(fields).flatMap(([path, message]) => {
      const field = path in own ? path : path.split('.').find((part) => part in own);
      return field === undefined ? [] : [[field, message]];
    }),
  );

/** The first of the fields that were refused, in the order of the page, takes the focus. */
function focusFirst<Values extends Record<string, unknown>>(
  form: UseFormReturnType<Values>,
  fields: readonly string[],
) {
  const nodes = fields.flatMap((field) => form.getInputNode(field) ?? []);
  const [first] = nodes.sort((a, b) => (a.compareDocumentPosition(b) & Node.DOCUMENT_POSITION_FOLLOWING ? -1 : 1));
  first?.focus();
}

/**
 * Tells whether somebody is still where they were when a form was sent, and typed nothing since. A slow answer must not
 * take the cell from under what is being typed: the rest of it would go into another.
 */
function stillnessOf<Values extends Record<string, unknown>>(form: UseFormReturnType<Values>): () => boolean {
  const [at, sent] = [document.activeElement, form.getValues()];
  return () => {
    const [now, values] = [document.activeElement, form.getValues()];
    const isThere = now === at || now === document.body;
    return isThere && Object.keys(sent).every((name) => Object.is(values[name], sent[name]));
  };
}

/** What a form sends instead, once a person has seen what is on disk: the version that is there now. */
type Overruled<Values> = (stale: Stale, values: Values) => Partial<Values>;

const byVersion = ({ version }: Stale) => ({ version });

/**
 * A form whose values go to a server action; refusals come back to their fields, and what was typed stays, on this
 * device until it is sent or thrown away.
 * @param name tells the forms of one page apart
 */
export function useActionForm<Values extends Record<string, unknown>, T>(
  name: string,
  initialValues: Values,
  action: (values: Values) => Promise<Result<T>>,
  onDone: (result: T, form: UseFormReturnType<Values>) => void,
  overruled: Overruled<Values> = byVersion as unknown as Overruled<Values>,
): ActionForm<Values> {
  const form = useForm<Values>({ initialValues });
  const draft = useDraft(form, name);
  const offerUndo = useOfferUndo();
  const [pending, startTransition] = useTransition();
  const [problem, setProblem] = useState<FormProblem>();
  // Not by `pending`: that lasts until the page is drawn anew, and the next entry may be typed and sent before.
  const isSending = useRef(false);
  const submit = () => {
    if (isSending.current) return;
    isSending.current = true;
    const isStill = stillnessOf(form);
    startTransition(async () => {
      const outcome = await send(action, form.getValues());
      isSending.current = false;
      setProblem(undefined);
      if (outcome.ok) {
        draft.sent();
        offerUndo(outcome.result);
        onDone(outcome.result, form);
        // What stands in a form that stays open for the next is where it starts from.
        form.resetDirty();
        return;
      }
      const { stale } = outcome.error;
      if (stale) {
        const overrule = () => {
          form.setValues(overruled(stale, form.getValues()));
          submit();
        };
        return setProblem({ ...outcome.error, overrule });
      }
      const fields = ownFields(outcome.error.fields ?? {}, initialValues);
      form.setErrors(fields);
      if (Object.keys(fields).length > 0 && isStill()) focusFirst(form, Object.keys(fields));
      else setProblem(outcome.error);
    });
  };
  return { form, submit, pending, problem, draft };
}

export const UNREACHED: Problem = {
  code: 'unreached',
  message:
    'The program on this machine did not answer. What you typed is still here. See that it is running, then try again.',
};

const NOT_TAKEN: Problem = {
  code: 'not-taken',
  message:
    'The program answered, but did not take it: it may be larger than 60 MB, or the program was exchanged meanwhile. What you typed is still here. Load the page again, then try once more.',
};

/** An action that fails on the way throws of itself where nobody answered, and of the answer where somebody did. */
const wasAnswered = (error: unknown): boolean =>
  error instanceof Error && ('digest' in error || /unexpected response/i.test(error.message));

/** Calls an action; a server that does not answer, or answers nothing, becomes a refusal like any other. */
export async function send<Values, T>(
  action: (values: Values) => Promise<Result<T>>,
  values: Values,
): Promise<Result<T>> {
  try {
    // An act that could not be handed on comes back as nothing at all.
    const outcome = (await action(values)) as Result<T> | undefined;
    return outcome ?? { ok: false, error: UNREACHED };
  } catch (error) {
    return { ok: false, error: wasAnswered(error) ? NOT_TAKEN : UNREACHED };
  }
}
