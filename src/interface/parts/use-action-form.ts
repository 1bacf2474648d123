'use client';

import { useForm, type UseFormReturnType } from '@mantine/form';
import { useCallback, useEffect, useRef, useState, useTransition } from 'react';
import type { Problem, Result, Stale } from '@/model/result';
import { send } from './send';
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

/** Whether the focus is where it was as a form was sent, or nowhere. */
function stays(): () => boolean {
  const at = document.activeElement;
  return () => document.activeElement === at || document.activeElement === document.body;
}

/** By what it holds: a list is copied with its form whenever another field is written. */
const isSame = (a: unknown, b: unknown): boolean => Object.is(a, b) || JSON.stringify(a) === JSON.stringify(b);

/** Whether it alters a row that is there, and makes none. */
const isOfRow = ({ version }: Record<string, unknown>): boolean => Number(version ?? 0) > 0;

/**
 * A row that this form wrote stands one version further on by that: what was typed since is meant for it as it is now,
 * and would be refused as if somebody else had written.
 */
function raised<Values extends Record<string, unknown>>(sent: Values): { readonly version?: unknown } {
  if (!isOfRow(sent)) return {};
  const { version } = sent;
  return { version: typeof version === 'string' ? String(Number(version) + 1) : Number(version) + 1 };
}

/** What a form sends instead, once a person has seen what is on disk: the version that is there now. */
type Overruled<Values> = (stale: Stale, values: Values) => Partial<Values>;

const byVersion = ({ version }: Stale) => ({ version });

/**
 * A form whose values go to a server action; refusals come back to their fields, and what was typed stays, on this
 * device until it is sent or thrown away. An answer may be slow: what was typed since the form was sent is no part of
 * it and stays as well, and is sent by itself where that was asked for meanwhile.
 * @param name tells the forms of one page apart
 * @param onDone what becomes of a form that was taken, which stands as it was sent; `isStill` where somebody is still
 *   where they were and typed nothing since: else the cell must not be taken from under what is being typed
 */
export function useActionForm<Values extends Record<string, unknown>, T>(
  name: string,
  initialValues: Values,
  action: (values: Values) => Promise<Result<T>>,
  onDone: (result: T, form: UseFormReturnType<Values>, isStill: boolean) => void,
  overruled: Overruled<Values> = byVersion as unknown as Overruled<Values>,
): ActionForm<Values> {
  const since = useRef(new Set<string>());
  const noteChanges = useCallback((values: Values, before: Values) => {
    for (const field of Object.keys(values)) if (!isSame(values[field], before[field])) since.current.add(field);
  }, []);
  const form = useForm<Values>({ initialValues, onValuesChange: noteChanges });
  const draft = useDraft(form, name);
  const offerUndo = useOfferUndo();
  const [pending, startTransition] = useTransition();
  const [problem, setProblem] = useState<FormProblem>();
  // Not by `pending`: that lasts until the page is drawn anew, and the next entry may be typed and sent before.
  const isSending = useRef(false);
  const isAskedAgain = useRef(false);
  const [next, setNext] = useState(0);
  const taken = (result: T, sent: Values, isStill: boolean) => {
    const typed = [...since.current].map((field) => [field, form.getValues()[field]]);
    draft.sent();
    offerUndo(result);
    form.setValues(sent);
    // Whoever went on typing about a row has not done with it: the form that would close by this stays as it is.
    if (typed.length === 0 || !isOfRow(sent)) onDone(result, form, isStill);
    // What stands in a form that stays open for the next is where it starts from.
    form.resetDirty();
    if (typed.length === 0) return;
    form.setValues({ ...Object.fromEntries(typed), ...raised(sent) } as Partial<Values>);
    if (isAskedAgain.current) setNext((count) => count + 1);
  };
  const submit = () => {
    // Pressed twice it is one entry; what was typed since is the next.
    if (isSending.current) isAskedAgain.current = since.current.size > 0;
    if (isSending.current) return;
    isSending.current = true;
    isAskedAgain.current = false;
    since.current.clear();
    const [sent, isThere] = [form.getValues(), stays()];
    startTransition(async () => {
      const outcome = await send(action, sent);
      isSending.current = false;
      setProblem(undefined);
      const isStill = since.current.size === 0 && isThere();
      if (outcome.ok) return taken(outcome.result, sent, isStill);
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
      if (Object.keys(fields).length > 0 && isStill) focusFirst(form, Object.keys(fields));
      else setProblem(outcome.error);
    });
  };
  // Only of a form that is still there once it was taken: one that closed has nothing more to send.
  const latest = useRef(submit);
  useEffect(() => {
    latest.current = submit;
  });
  useEffect(() => {
    if (next > 0) latest.current();
  }, [next]);
  return { form, submit, pending, problem, draft };
}
