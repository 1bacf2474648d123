'use client';

import { LEAF_CONTENTS } from '@/model/book/leaf-of-text';
import { choices } from '@/interface/words/choices';
import { NativeSelect, TextInput } from '@mantine/core';
import { startTransition, useMemo, useState } from 'react';
import { notesToAgree } from '@/core/print';
import type { Note } from '@/core/units';
import type { Leaf } from '@/model/book/leaf';
import type { Source } from '@/model/book/source';
import { ActionForm } from '@/interface/parts/action-form';
import { Suggestions } from '@/interface/parts/suggestions';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { LengthReadingView, readPrintedLength, type ReadLength } from '@/interface/parts/length-reading';
import { TorqueReadingView, readPrint, type ReadPrint } from '@/interface/parts/torque-reading';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { addLeafAction } from './actions';
import { workingOfPrint } from './working-of-print';
import styles from './leaf-form.module.css';

interface Props {
  readonly engineId: string;
  readonly sources: readonly Source[];
  readonly sourceId?: string;
  /** Subjects in the book already. */
  readonly subjects: readonly string[];
  /** The leaf to correct: it stays, struck through, beneath the new one. */
  readonly correcting?: Leaf;
  /** It came up by an act: the focus goes into it. */
  readonly focus?: boolean;
  /** The form goes away: a correction is kept, or it is left. */
  readonly onLeave: () => void;
}

const CONDITIONS = [
  { value: '', label: 'Not said on the page' },
  { value: 'oiled', label: 'Oiled' },
  { value: 'dry', label: 'Dry' },
  { value: 'greased', label: 'Greased' },
  { value: 'graphited', label: 'Graphite or tallow' },
  { value: 'moly paste', label: 'Moly paste' },
];

const KINDS = choices(LEAF_CONTENTS, {
  torque: 'A torque, a pull on a lever, or a turn',
  stretch: 'A stretch',
  clearance: 'A clearance',
  'end-float': 'An end float',
  order: 'An order',
  note: 'A note',
});

const contentOf = (leaf: Leaf | undefined) =>
  leaf && leaf.kind !== 'lever-pull' && leaf.kind !== 'turn' ? leaf.kind : 'torque';

const initial = ({ engineId, sources, sourceId, correcting }: Props) => ({
  engineId,
  sourceId: correcting?.sourceId ?? sourceId ?? sources[0]?.id ?? '',
  page: correcting?.page ?? '',
  subject: correcting?.subject ?? '',
  kind: contentOf(correcting) as string,
  printedText: correcting?.printedText ?? '',
  conditionText: correcting?.conditionText ?? '',
  readingIndex: -1,
  agreedNotes: [] as string[],
  replacesId: correcting?.id ?? null,
});

interface AgreementProps {
  readonly asked: readonly Note[];
  readonly agreed: readonly string[];
  readonly onAgree: (codes: readonly string[]) => void;
  readonly error: React.ReactNode;
}

/** What has to be agreed to before the figure is taken. */
function Agreement({ asked, agreed, onAgree, error }: AgreementProps) {
  if (asked.length === 0) return null;
  return (
    <fieldset className={styles.asked}>
      <legend className={form.legend}>Before the figure is taken</legend>
      {asked.map(({ code, message }) => (
        <label key={code} className={form.choice}>
          <input
            type="checkbox"
            checked={agreed.includes(code)}
            onChange={(event) =>
              onAgree(event.currentTarget.checked ? [...agreed, code] : agreed.filter((one) => one !== code))
            }
          />
          <span>{message} I have looked, and take it.</span>
        </label>
      ))}
      {error && <p className={styles.error}>{error}</p>}
    </fieldset>
  );
}

interface UnderstoodProps {
  /** As a torque; undefined where the entry is a length. */
  readonly read: ReadPrint | undefined;
  readonly length: ReadLength;
  /** It is said beside the field why it cannot be read, and not here as well. */
  readonly isRefused: boolean;
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
}

/** What was understood of the text. */
function Understood({ read, length, isRefused, ...choice }: UnderstoodProps) {
  if (isRefused && !(read ?? length).ok) return null;
  return read ? (
    <TorqueReadingView asksBeside read={read} {...choice} />
  ) : (
    <LengthReadingView read={length} {...choice} />
  );
}

/** What books give a torque for, in the trade’s words: offered behind what this book speaks of already. */
const USUAL_SUBJECTS = [
  'Cylinder head',
  'Main bearing caps',
  'Big ends',
  'Rocker pedestals',
  'Camshaft caps',
  'Crankcase halves',
  'Barrel base',
  'Flywheel',
  'Manifolds',
  'Sump',
  'Timing cover',
  'Oil pump',
  'Water pump',
  'Crankshaft nut',
  'Clutch centre nut',
  'Sparking plugs',
];

const askedOf = (read: ReadPrint): readonly Note[] => (read.ok ? notesToAgree(read.print.notes) : []);

/** Enters a leaf: the page, the subject, and the text exactly as printed, read as it is typed. */
export function LeafForm(props: Props) {
  const [saved, setSaved] = useState<string>();
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(
    props.correcting ? `entry-${props.correcting.id}` : 'entry',
    initial(props),
    addLeafAction,
    (_, entered, isStill) => {
      if (props.correcting) return props.onLeave();
      // The next figure of the page: source, page, kind and threads stay, and the hand stays on the keys.
      const { subject: named, printedText: text } = entered.getValues();
      // Told with the row, which pushes what is beneath it away: a finger on its way there would come down beside it.
      startTransition(() => setSaved(`${named}: “${text}”`));
      entered.setValues({ subject: '', printedText: '', readingIndex: -1, agreedNotes: [] });
      if (isStill) entered.getInputNode('subject')?.focus();
    },
  );
  const field = fields.getInputProps;
  const { printedText, readingIndex, agreedNotes, kind } = fields.values;
  const isTorque = kind === 'torque';
  const isLength = kind === 'stretch' || kind === 'clearance' || kind === 'end-float';
  const read = useMemo(() => readPrint(printedText), [printedText]);
  const length = useMemo(() => readPrintedLength(printedText), [printedText]);
  const asked = isTorque
    ? askedOf(read)
    : isLength && length.ok
      ? notesToAgree(length.line.readings[0]?.notes ?? [])
      : [];
  const ambiguous = isLength
    ? length.ok && length.line.ambiguous
    : read.ok && read.print.kind !== 'turn' && read.print.ambiguous;
  const chosen = ambiguous ? readingIndex : 0;
  const setFieldValue = fields.setFieldValue;
  // A choice or an agreement belongs to the text it was made for.
  const type = (text: string) => fields.setValues({ printedText: text, readingIndex: -1, agreedNotes: [] });
  useDefaultWorking(
    useMemo(
      () => (isTorque ? workingOfPrint(printedText, read, chosen) : undefined),
      [isTorque, printedText, read, chosen],
    ),
  );
  return (
    <ActionForm
      focus={props.focus}
      label={props.correcting ? 'Correct an entry' : 'New entry'}
      onSubmit={fields.onSubmit(submit)}
      problem={problem}
      draft={draft}
    >
      {props.sources.length > 1 && (
        <NativeSelect
          className={form.wide}
          label="Source"
          data={props.sources.map((source) => ({ value: source.id, label: source.title }))}
          {...field('sourceId')}
        />
      )}
      <TextInput label="Page" {...field('page')} />
      <TextInput
        label="Subject"
        description="What it is for; the same words as another entry’s tie them together"
        list="subjects"
        {...field('subject')}
      />
      <Suggestions id="subjects" words={[...props.subjects, ...USUAL_SUBJECTS]} />
      <TextInput
        className={form.wide}
        classNames={{ input: styles.printed }}
        label="Text exactly as printed"
        placeholder="5½ mkg"
        autoComplete="off"
        spellCheck={false}
        {...field('printedText')}
        onChange={(event) => type(event.currentTarget.value)}
      />
      <div className={form.wide} aria-live="polite">
        {printedText.trim() !== '' && (isTorque || isLength) && (
          <Understood
            read={isTorque ? read : undefined}
            length={length}
            isRefused={fields.errors.printedText !== undefined}
            chosen={chosen}
            onChoose={(index) => setFieldValue('readingIndex', index)}
          />
        )}
        {fields.errors.readingIndex && <p className={styles.error}>{fields.errors.readingIndex}</p>}
        <Agreement
          asked={asked}
          agreed={agreedNotes}
          onAgree={(codes) => setFieldValue('agreedNotes', [...codes])}
          error={fields.errors.agreedNotes}
        />
      </div>
      <NativeSelect className={form.double} label="What it gives" data={KINDS} {...field('kind')} />
      {isTorque && (
        <NativeSelect
          label="Threads, as the page has them"
          data={
            read.ok && read.print.condition
              ? [{ value: '', label: `As printed: ${read.print.condition}` }, ...CONDITIONS.slice(1)]
              : CONDITIONS
          }
          {...field('conditionText')}
        />
      )}
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          {props.correcting ? 'Save the correction' : 'Save the entry'}
        </Button>
        <Button
          onClick={() => {
            draft.discard();
            props.onLeave();
          }}
        >
          {props.correcting ? 'Leave it as it was' : saved === undefined ? 'Not now' : 'That is all'}
        </Button>
        {saved !== undefined && (
          <span className={styles.saved} role="status">
            Saved {saved}. The next one of this page:
          </span>
        )}
      </div>
    </ActionForm>
  );
}
