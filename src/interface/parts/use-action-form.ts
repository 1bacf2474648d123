'use client';

import { useForm, type UseFormReturnType } from '@mantine/form';
import { useState, useTransition } from 'react';
import type { Result, Problem } from '@/model/result';

interface ActionForm<Values extends Record<string, unknown>> {
  readonly form: UseFormReturnType<Values>;
  readonly submit: () => void;
  readonly pending: boolean;
  /** A refusal that belongs to no field. */
  readonly problem?: Problem;
}

/** A form whose values go to a server action; refusals come back to their fields, and what was typed stays. */
export function useActionForm<Values extends Record<string, unknown>, T>(
  initialValues: Values,
  action: (values: Values) => Promise<Result<T>>,
  onDone: (result: T, form: UseFormReturnType<Values>) => void,
): ActionForm<Values> {
  const form = useForm<Values>({ initialValues });
  const [pending, startTransition] = useTransition();
  const [problem, setProblem] = useState<Problem>();
  const submit = () =>
    startTransition(async () => {
      const outcome = await send(action, form.getValues());
      setProblem(undefined);
      if (outcome.ok) return onDone(outcome.result, form);
      const fields = Object.fromEntries(
        Object.entries(outcome.error.fields ?? {}).filter(([field]) => field in initialValues),
      );
      form.setErrors(fields);
      if (Object.keys(fields).length === 0) setProblem(outcome.error);
    });
  return { form, submit, pending, problem };
}

const UNREACHED: Problem = {
  code: 'unreached',
  message:
    'The program on this machine did not answer. What you typed is still here. See that it is running, then try again.',
};

/** Calls an action; a server that does not answer becomes a refusal like any other. */
export async function send<Values, T>(
  action: (values: Values) => Promise<Result<T>>,
  values: Values,
): Promise<Result<T>> {
  try {
    return await action(values);
  } catch {
    return { ok: false, error: UNREACHED };
  }
}
