'use client';

import { NativeSelect, Textarea } from '@mantine/core';
import { ActionForm } from '@/interface/parts/action-form';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { useActionForm } from '@/interface/parts/use-action-form';
import type { Note, NotedThing } from '@/model/note';
import { keepNoteAction } from './actions';
import { noteFormName } from './note-form-name';

interface Props {
  readonly of: NotedThing;
  /** How many fasteners a joint has: a note may be of one of them. */
  readonly fasteners?: number;
  /** The note to change. */
  readonly note?: Note;
  readonly onDone: () => void;
}

const numbered = (fasteners: number) => [
  { value: '', label: 'The whole joint' },
  ...Array.from({ length: fasteners }, (_, i) => ({ value: String(i + 1), label: `Number ${i + 1}` })),
];

/** Writes a note, or changes one. */
export function NoteForm({ of, fasteners, note, onDone }: Props) {
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    note ? `note-${note.id}` : noteFormName(of),
    {
      engineId: of.engineId,
      jointId: of.jointId ?? null,
      fitId: of.fitId ?? null,
      stepId: of.stepId ?? null,
      partId: of.partId ?? null,
      id: note?.id ?? '',
      version: note?.version ?? 0,
      fastener: note?.fastener ? String(note.fastener) : '',
      words: note?.words ?? '',
    },
    keepNoteAction,
    (_, entered) => {
      entered.reset();
      onDone();
    },
  );
  const field = fields.getInputProps;
  return (
    <ActionForm
      focus={note !== undefined}
      label={note ? 'Change the note' : 'New note'}
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      <Textarea
        className={form.wide}
        label={note ? 'The note' : 'A note'}
        description="What was seen, found or done, and is to be remembered"
        autosize
        minRows={2}
        {...field('words')}
      />
      {fasteners !== undefined && (
        <NativeSelect label="Of which fastener" data={numbered(fasteners)} {...field('fastener')} />
      )}
      <div className={form.acts}>
        <Button type="submit" busy={pending}>
          {note ? 'Save the note' : 'Write it down'}
        </Button>
        {note && (
          <Button
            onClick={() => {
              draft.discard();
              onDone();
            }}
          >
            Leave it
          </Button>
        )}
      </div>
    </ActionForm>
  );
}
