'use client';

import { isDomainError, plainFigure } from '@/core/units';
import { NativeSelect, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { useFigures } from '@/interface/figures/preferences';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { addStandardJointAction } from './actions';
import { standardReading, type StandardShelves } from './standard-leaf';

interface Props {
  readonly engineId: string;
  readonly shelves: StandardShelves;
}

/**
 * A joint that no page mentions: size, grade, film, parent metal and engagement in, the standard figure out, seen as
 * it is typed.
 */
export const StandardJointForm = sentInColumns<Props>(function StandardJoint({ engineId, shelves }) {
  const router = useRouter();
  const { torque, kilonewtons } = useFigures();
  const start = {
    engineId,
    name: '',
    thread: '',
    grade: shelves.grades[0]?.id ?? '',
    film: 'engine-oil',
    metal: '',
    engagement_mm: '',
  };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm<Record<string, string>, { href: string }>(
    'standard-joint',
    start,
    addStandardJointAction,
    ({ href }) => router.push(href),
  );
  const field = fields.getInputProps;
  const { thread = '', grade = '', film = '', metal = '', engagement_mm = '' } = fields.values;
  const reading = useMemo(() => {
    const engagement = plainFigure(engagement_mm) ?? 0;
    try {
      return thread.trim() === ''
        ? undefined
        : standardReading({ thread, grade, film, metal, engagement_mm: engagement > 0 ? engagement : null }, shelves);
    } catch (error) {
      if (isDomainError(error)) return undefined;
      throw error;
    }
  }, [thread, grade, film, metal, engagement_mm, shelves]);
  const list = (rows: readonly { readonly id: string; readonly name: string }[]) =>
    rows.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <ActionForm
      label="A joint by the standard figure"
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <TextInput label="Name" {...field('name')} />
      <TextInput label="Thread" description="3/8 BSF, M8, 7/16 UNF, 2 BA …" {...field('thread')} />
      <NativeSelect label="Grade" data={list(shelves.grades)} {...field('grade')} />
      <NativeSelect label="Lubricant" data={list(shelves.films)} {...field('film')} />
      <NativeSelect
        label="Tapped into"
        data={[{ value: '', label: 'Not known' }, ...list(shelves.metals)]}
        {...field('metal')}
      />
      <TextInput label="Full engagement, mm" inputMode="decimal" {...field('engagement_mm')} />
      <p className={form.wide} aria-live="polite" data-testid="standard-figure">
        {reading ? (
          <>
            Standard figure <b className="figure">{torque(reading.figure.torque_Nm)}</b>, clamp load{' '}
            {kilonewtons(reading.figure.preload_N)}; {reading.page}.
          </>
        ) : (
          'The figure shows once the thread is known.'
        )}
      </p>
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Make it by the standard figure
        </Button>
      </div>
    </ActionForm>
  );
});
