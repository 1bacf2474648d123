'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import type { Leaf } from '@/model/book/leaf';
import type { HousePractice } from '@/model/practice/house-practice';
import { ActionForm } from '@/interface/parts/action-form';
import { Suggestions } from '@/interface/parts/suggestions';
import { USUAL_THREADS } from '@/interface/words/usual-threads';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { addJointAction } from './actions';
import { originalFilmFor, todayFilmFor } from './film-reason';
import { PATTERNS } from './joint-words';
import type { Offered } from './offered-by-line';

/** What is shown of an entry, and what its line offers besides the figure. */
export interface OfferedLeaf extends Pick<Leaf, 'id' | 'subject' | 'printedText' | 'page' | 'conditionText'> {
  readonly offers: Offered;
}

interface Props {
  readonly engineId: string;
  readonly leaves: readonly OfferedLeaf[];
  readonly leafId?: string;
  /** What may be named: no more of them is needed here. */
  readonly films: readonly { readonly id: string; readonly name: string }[];
  readonly practice: HousePractice;
}

const NOTHING: Offered = { thread: '', fasteners: '' };

const filmsFor = (leaf: OfferedLeaf | undefined, practice: HousePractice) => {
  const originalFilm = originalFilmFor(leaf?.conditionText ?? null, practice);
  return { originalFilm, todayFilm: todayFilmFor(originalFilm, practice) };
};

const initial = ({ engineId, leaves, leafId, practice }: Props) => {
  const leaf = leaves.find((one) => one.id === leafId) ?? leaves[0];
  return {
    engineId,
    leafId: leaf?.id ?? '',
    leafReason: '',
    name: leaf?.subject ?? '',
    pattern: 'rows',
    ...(leaf?.offers ?? NOTHING),
    ...filmsFor(leaf, practice),
    orderSchool: 'centre-out',
    turnShaft: false,
    retorqueSchool: practice.retorque as string,
  };
};

/** Makes a joint from a leaf. The rest is set on its own sheet, where the figure is seen to move. */
export const NewJointForm = sentInColumns<Props>(function NewJoint(props) {
  const router = useRouter();
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm('joint', initial(props), addJointAction, ({ href }) => router.push(href));
  const field = fields.getInputProps;
  const films = props.films.map((film) => ({ value: film.id, label: film.name }));
  const chooseLeaf = (leafId: string) => {
    const leaf = props.leaves.find((one) => one.id === leafId);
    const { thread, fasteners } = leaf?.offers ?? NOTHING;
    fields.setValues({
      leafId,
      ...filmsFor(leaf, props.practice),
      name: leaf?.subject ?? '',
      ...(thread && { thread }),
      ...(fasteners && { fasteners }),
    });
  };
  const onLine = props.leaves.find(({ id }) => id === fields.getValues().leafId)?.offers ?? NOTHING;
  const choosePattern = (pattern: string) =>
    fields.setValues({
      pattern,
      orderSchool: pattern === 'ring' ? 'star' : 'centre-out',
      turnShaft: pattern === 'caps',
      retorqueSchool: pattern === 'caps' ? 'none' : props.practice.retorque,
    });
  return (
    <ActionForm
      label="The joint"
      focus={props.leafId === undefined ? true : 'fasteners'}
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <NativeSelect
        className={form.wide}
        label="The figure on the page"
        data={props.leaves.map((leaf) => ({
          value: leaf.id,
          label: `${leaf.subject}: “${leaf.printedText}”, p. ${leaf.page}`,
        }))}
        {...field('leafId')}
        onChange={(event) => chooseLeaf(event.currentTarget.value)}
      />
      {(fields.errors.leafReason !== undefined || fields.getValues().leafReason !== '') && (
        <TextInput
          className={form.wide}
          label="Why this page and not that one"
          description="It is printed in the record"
          {...field('leafReason')}
        />
      )}
      <TextInput label="Name of the joint" {...field('name')} />
      <NativeSelect
        label="Pattern"
        data={PATTERNS.filter(({ value }) => value !== 'free')}
        description="In no pattern: on its own sheet"
        {...field('pattern')}
        onChange={(event) => choosePattern(event.currentTarget.value)}
      />
      <TextInput
        label="Fasteners"
        description={onLine.fasteners ? 'How many are pulled; from the printed line' : 'How many are pulled'}
        inputMode="numeric"
        {...field('fasteners')}
      />
      <TextInput
        label="Thread that turns"
        list="threads"
        description={onLine.thread ? 'From the printed line' : '3/8 BSF, M8, 7/16 UNF, 2 BA …'}
        {...field('thread')}
      />
      <Suggestions id="threads" words={USUAL_THREADS} />
      <NativeSelect
        className={form.double}
        label="Lubricant the book has in mind"
        data={films}
        {...field('originalFilm')}
      />
      <NativeSelect className={form.double} label="Lubricant today" data={films} {...field('todayFilm')} />
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Make the joint
        </Button>
      </div>
    </ActionForm>
  );
});
