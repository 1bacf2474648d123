'use client';

import { YIELD_LIMIT } from '@/core/joint';
import { THOU_MM } from '@/core/units';
import { BOLT_READING_KINDS } from '@/model/bolt/bolt-set';
import { choices } from '@/interface/words/choices';
import { READ_WHEN } from '@/interface/words/stretch-words';
import { NativeSelect, TextInput } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useMemo, useState, type ReactNode } from 'react';
import { useFigures } from '@/interface/figures/preferences';
import { ListenKey } from '@/interface/instruments/listen-key';
import { ActionForm } from '@/interface/parts/action-form';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { useDrafts } from '@/interface/parts/use-draft';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { TakeAway } from '@/interface/parts/take-away';
import { useActionForm } from '@/interface/parts/use-action-form';
import { useDefaultWorking, type Working } from '@/interface/shell/working-margin';
import { addBoltReadingAction } from './actions';
import { BoltSetForm } from './bolt-set-form';
import { SetTable } from './set-table';
import { numberWords } from '@/model/bolt/set-number';
import type { BoltState } from '@/model/bolt/bolt-state';
import type { SetFigure, SetPage, StretchPage } from './queries';

const KINDS = choices(BOLT_READING_KINDS, READ_WHEN);

/** What is to be read next: free lengths first, then each pull. */
const nextKind = ({ verdict: { state } }: BoltState) =>
  state === 'free-length-wanted' ? 'free' : state === 'grown' ? 'another' : 'tight';

function ReadingForm({ page: { set, bolts } }: { readonly page: SetPage }) {
  const open = bolts.find((one) => one.verdict.state !== 'inside') ?? bolts[0];
  const start = {
    setId: set.id,
    bolt: String(open?.bolt ?? 1),
    kind: open ? nextKind(open) : 'free',
    typed: '',
    torque: '',
  };
  const {
    form: fields,
    submit,
    pending,
    problem,
    draft,
  } = useActionForm(`reading-${set.id}`, start, addBoltReadingAction, (_, entered) => {
    const at = Number(entered.getValues().bolt);
    // Free lengths are read down the row; a tightened bolt is read again until it is right.
    const next = entered.getValues().kind === 'free' && at < set.bolts ? at + 1 : at;
    entered.setValues({ bolt: String(next), typed: '', torque: '' });
  });
  const field = fields.getInputProps;
  return (
    <ActionForm label={`A reading of ${set.name}`} onSubmit={fields.onSubmit(submit)} problem={problem} draft={draft}>
      <NativeSelect label="Bolt" data={bolts.map((one) => String(one.bolt))} {...field('bolt')} />
      <NativeSelect label="What was read" data={KINDS} {...field('kind')} />
      <TextInput label="Length as read" description="2.3614 or 59.98" autoComplete="off" {...field('typed')} />
      {fields.values.kind === 'tight' && (
        <TextInput
          label="Torque at that pull"
          description="N·m, or with its unit"
          autoComplete="off"
          {...field('torque')}
        />
      )}
      <div className={form.acts}>
        <Button type="submit" rank="main" busy={pending}>
          Save the reading
        </Button>
        <ListenKey
          what="a gauge"
          onReading={(heard) => {
            if (heard.kind !== 'stretch-gauge' && heard.kind !== 'micrometer') return false;
            fields.setFieldValue('typed', `${heard.value} ${heard.unit}`);
            return true;
          }}
        />
      </div>
    </ActionForm>
  );
}

/** The most stretch that is wanted, against what the bolt bears. */
function YieldNotice({ page: { set, bears } }: { readonly page: SetPage }) {
  if (!bears)
    return (
      <Notice kind="wait">
        {`The joint has no “${set.kind}” any more, so that nothing is held against these bolts. Make the kind again under that name, or enter the bolts anew.`}
      </Notice>
    );
  const { mostShare, isGradeKnown } = bears;
  if (mostShare <= YIELD_LIMIT) return null;
  const share = `${(mostShare * 100).toFixed(0)} %`;
  return (
    <Notice kind={isGradeKnown ? 'stop' : 'wait'}>
      {isGradeKnown
        ? `The most stretch wanted leaves the bolt at ${share} of its yield. Measure its lengths again, read the page again, or know that it is made to yield.`
        : `The grade of the bolt is not known. Taken for mild steel it would be at ${share} of its yield at the most stretch wanted: enter its grade on the joint’s sheet.`}
    </Notice>
  );
}

const workingOf = (first: SetPage | undefined): Working => {
  if (!first)
    return {
      title: 'By stretch',
      remarks: [
        ['Why', 'length says what the bolt pulls, whatever the lubricant does; torque only suggests it.'],
        ['Needs', 'both ends in reach of a pin micrometer or gauge.'],
      ],
    };
  const { set, figure, stiffness_N_per_mm: k } = first;
  const torque = ({ arm_mm, prevailing_Nm }: SetFigure, stretch_mm: number) =>
    (k * stretch_mm * arm_mm) / 1000 + prevailing_Nm;
  return {
    title: set.name,
    lines: [
      {
        formula: 'k = 1 / Σ(L / E·A)',
        figures: [{ value: k, digits: 4 }, ' N/mm, ', { value: set.E_GPa, digits: 4 }, ' GPa'],
      },
      {
        formula: 'F = k · stretch',
        figures: [
          { value: k * set.minStretch_mm, digits: 4 },
          ' to ',
          { value: k * set.maxStretch_mm, digits: 4 },
          ' N',
        ],
      },
      ...(figure
        ? [
            {
              formula: 'T = F · c + Tp, in today’s lubricant',
              figures: [
                { value: torque(figure, set.minStretch_mm), digits: 3 },
                ' to ',
                { value: torque(figure, set.maxStretch_mm), digits: 3 },
                ' N·m',
              ],
            },
            {
              formula: 'the torque figure alone would stretch',
              figures: [
                { value: figure.preload_N, digits: 4 },
                ' N / k = ',
                { value: figure.preload_N / k, digits: 3 },
                ' mm',
              ],
            },
          ]
        : []),
    ],
    remarks: [
      [
        'Lengths',
        'with 0.35 d of head and 0.45 d of engaged thread, which a micrometer over the ends sees stretch too',
      ],
      ['Spread', 'clamp by stretch ±3 to 5 %; by torque wrench ±25 to 30 %'],
    ],
    caution:
      'At the ceiling without the stretch, or the stretch without the torque: stop and find out why. Stand so that a bolt that shears hurts nobody.',
  };
};

/** The stretch sheets of a joint: each bolt’s lengths, what they say, and where to stop. */
export function StretchScreen({ page, children }: { readonly page: StretchPage; readonly children: ReactNode }) {
  const { joint, engine, sets } = page;
  const { significant } = useFigures();
  const [adding, setAdding] = useState(sets.length === 0);
  useDrafts((names) => names.includes('set') && setAdding(true));
  const [first] = sets;
  useDefaultWorking(useMemo(() => workingOf(first), [first]));
  const back = `/engines/${engine.id}/joints/${joint.id}`;
  return (
    <Screen title={`${joint.name}, by stretch`} lead={<Link href={back}>The joint’s own sheet</Link>}>
      <HydrationGate>
        {sets.map((one) => (
          <Section key={one.set.id} title={one.set.name}>
            <p className="soft">
              Wanted {one.set.minStretch_mm.toFixed(3)} to {one.set.maxStretch_mm.toFixed(3)} mm (
              {(one.set.minStretch_mm / THOU_MM).toFixed(1)} to {(one.set.maxStretch_mm / THOU_MM).toFixed(1)} thou)
              {one.set.kind !== '' && ` of the ${one.set.kind}`}, ceiling {significant(one.set.ceiling_Nm)} N·m; a bolt
              that stays {one.set.maxSet_mm} mm longer is scrap.
            </p>
            {!one.counts && (
              <Notice kind="wait">A later set took its place: nothing is asked of this one any more.</Notice>
            )}
            {one.fasteners !== undefined && (
              <Notice kind="stop">
                {numberWords(one.set.bolts, one.fasteners)}. Enter the set anew with as many as the joint has, or say on
                the joint’s sheet which of them are of another kind.
              </Notice>
            )}
            <YieldNotice page={one} />
            {one.set.bothEnds ? (
              <>
                <SetTable page={one} />
                <ReadingForm page={one} />
              </>
            ) : (
              <Notice kind="wait">
                An end cannot be reached, so stretch cannot be read here. Use the torque figure with the lubricant tried
                on bolts of this kind (<Link href="/shelves/trials">a lubricant trial</Link>), or the book’s angle of
                turn if it prints one.
              </Notice>
            )}
            <p>
              <TakeAway kind="bolt-set" id={one.set.id} name={one.set.name} />
            </p>
          </Section>
        ))}
        {adding ? (
          <Section title="A set of bolts">
            <BoltSetForm joint={joint} onDone={() => setAdding(false)} />
          </Section>
        ) : (
          <Button onClick={() => setAdding(true)}>Another set</Button>
        )}
        {children}
      </HydrationGate>
    </Screen>
  );
}
