'use client';

import { NativeSelect, TextInput } from '@mantine/core';
import { kindName, titleOfKind } from '@/model/book/source-precedence';
import { PRINT_LANGUAGES, type Source, SOURCE_KINDS } from '@/model/book/source';
import { languageName } from '@/interface/words/language-name';
import { ActionForm } from '@/interface/parts/action-form';
import { Suggestions } from '@/interface/parts/suggestions';
import { Button } from '@/interface/parts/button';
import { TakeAway } from '@/interface/parts/take-away';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import { addSourceAction } from './actions';

interface Props {
  readonly engineId: string;
  readonly sources: readonly Source[];
  /** The source to change. */
  readonly source?: Source;
  /** It came up by an act: the focus goes into it. */
  readonly focus?: boolean;
  readonly onDone: (sourceId: string) => void;
}

const USUAL_TITLES = ['Manual', 'Instruction book', 'Workshop manual', 'Service bulletin', 'Parts list', 'Own notes'];
const KINDS = SOURCE_KINDS.map((kind) => ({ value: kind, label: kindName(kind) }));

/** By its own name and in English, so that whoever speaks either finds it. */
const LANGUAGES = [
  { value: '', label: 'Not said' },
  ...PRINT_LANGUAGES.map((tag) => ({ value: tag, label: languageName(tag) })),
];

const text = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value));

const valuesOf = ({ engineId, source }: Props) => ({
  engineId,
  id: source?.id ?? '',
  version: source?.version ?? 0,
  title: source?.title ?? '',
  edition: source?.edition ?? '',
  year: text(source?.year),
  kind: source?.kind ?? 'manual',
  rank: text(source?.rank),
  fromYear: text(source?.fromYear),
  toYear: text(source?.toYear),
  fromNumber: source?.fromNumber ?? '',
  toNumber: source?.toNumber ?? '',
  supersedesId: source?.supersedesId ?? '',
  language: source?.language ?? '',
});

/**
 * Enters a source into the engine's book, or changes what is known of one: its kind, the engines it speaks of, what
 * it puts out of force.
 */
export function SourceForm(props: Props) {
  const { sources, source, onDone } = props;
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(source ? `source-${source.id}` : 'source', valuesOf(props), addSourceAction, ({ id }, entered) => {
    entered.reset();
    onDone(id);
  });
  const field = fields.getInputProps;
  const others = sources.filter((one) => one.id !== source?.id);
  return (
    <ActionForm
      focus={props.focus}
      label={source ? `Change ${source.title}` : 'New source'}
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <TextInput label="Title" placeholder={titleOfKind(fields.values.kind)} list="titles" {...field('title')} />
      <Suggestions id="titles" words={USUAL_TITLES} />
      <TextInput label="Edition" {...field('edition')} />
      <TextInput label="Year" inputMode="numeric" {...field('year')} />
      <NativeSelect label="What it is" data={KINDS} {...field('kind')} />
      <TextInput label="Engines from year" inputMode="numeric" {...field('fromYear')} />
      <TextInput label="Engines to year" inputMode="numeric" {...field('toYear')} />
      <TextInput label="From engine number" {...field('fromNumber')} />
      <TextInput label="To engine number" {...field('toNumber')} />
      {others.length > 0 && (
        <NativeSelect
          label="Puts out of force"
          data={[{ value: '', label: 'nothing' }, ...others.map(({ id, title }) => ({ value: id, label: title }))]}
          {...field('supersedesId')}
        />
      )}
      <NativeSelect label="Printed in" data={LANGUAGES} {...field('language')} />
      <TextInput label="Rank, if not by its kind" description="1 goes first" inputMode="numeric" {...field('rank')} />
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          Save the source
        </Button>
        {source && (
          <Button
            onClick={() => {
              draft.discard();
              onDone(source.id);
            }}
          >
            Leave it
          </Button>
        )}
        {source && <TakeAway kind="source" id={source.id} name={source.title} />}
      </div>
    </ActionForm>
  );
}
