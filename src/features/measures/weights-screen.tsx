'use client';

import { WEIGHED_KINDS, type EngineMeasure, type EngineMeasures } from '@/model/engine/engine-measure';
import { choices } from '@/interface/words/choices';
import { NativeSelect, TextInput } from '@mantine/core';
import { useListState } from '@mantine/hooks';
import { useMemo, useState, type ReactNode } from 'react';
import { matchPieces, matchRods, type RodWeight } from '@/core/fits';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Button } from '@/interface/parts/button';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Section, Screen } from '@/interface/parts/screen';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { BalancePart } from './balance-part';
import { KeepMeasure } from './kept-measure';
import { workingOfWeights } from './measure-working';
import styles from './measures.module.css';

type Weights = EngineMeasures['weights'];

interface RodFields {
  readonly big_g: number | null;
  readonly small_g: number | null;
}

const NO_ROD: RodFields = { big_g: null, small_g: null };
const isRod = (rod: RodFields): rod is RodWeight => rod.big_g !== null && rod.small_g !== null;

/** Sets that are weighed on nearly every engine. */
const SETS: readonly Pick<Weights, 'name' | 'what'>[] = [
  { name: 'Connecting rods', what: 'rods' },
  { name: 'Pistons with pins', what: 'pieces' },
];

interface SetProps {
  readonly engineId: string;
  readonly set: Pick<Weights, 'name' | 'what'>;
  readonly measure?: EngineMeasure<'weights'>;
  /** Chooses which set is looked at. */
  readonly which: ReactNode;
}

interface SetFields {
  readonly what: Weights['what'];
  readonly name: string;
  readonly rods: readonly RodFields[];
  readonly pieces: readonly (number | null)[];
  readonly tolerance_g: number | null;
}

/** What is typed of a set that is weighed; as it is on disk, or to begin with. */
const setFields = ({ what, name }: SetProps['set'], kept: Weights | undefined): SetFields => ({
  what,
  name,
  rods: kept?.rods.length ? kept.rods : Array.from({ length: 4 }, () => NO_ROD),
  pieces: kept?.pieces_g.length ? kept.pieces_g : [null, null, null, null],
  tolerance_g: kept?.tolerance_g ?? 1,
});

function WeighedSet({ engineId, set, measure, which }: SetProps) {
  const kept = measure?.body;
  const { significant } = useFigures();
  const onDisk = setFields(set, kept);
  const [what, setWhat] = useState(onDisk.what);
  const [name, setName] = useState(onDisk.name);
  const [rods, rodRows] = useListState<RodFields>([...onDisk.rods]);
  const [pieces, pieceRows] = useListState<number | null>([...onDisk.pieces]);
  const [tolerance_g, setTolerance] = useState(onDisk.tolerance_g);
  const restore = (to: SetFields) => {
    setWhat(to.what);
    setName(to.name);
    rodRows.setState([...to.rods]);
    pieceRows.setState([...to.pieces]);
    setTolerance(to.tolerance_g);
  };
  const values = { what, name, rods, pieces, tolerance_g };
  const draft = useTableDraft({ name: `weights ${set.name}`, values, onDisk, id: measure?.id, restore });
  const weighedRods = rods.filter(isRod);
  const weighedPieces = pieces.filter((piece) => piece !== null);
  const complete = what === 'rods' ? weighedRods.length === rods.length : weighedPieces.length === pieces.length;
  const matched =
    complete && tolerance_g !== null
      ? what === 'rods'
        ? matchRods(weighedRods, tolerance_g)
        : matchPieces(weighedPieces, tolerance_g)
      : undefined;
  const grams = (value: number) => (value === 0 ? 'the lightest' : `${significant(value)} g to take off`);
  const removed = (i: number): { readonly words: string; readonly most: number } | undefined => {
    const one = matched?.remove[i];
    if (one === undefined) return undefined;
    return typeof one === 'number'
      ? { words: grams(one), most: one }
      : { words: `big ${grams(one.big_g)}; small ${grams(one.small_g)}`, most: Math.max(one.big_g, one.small_g) };
  };
  useDefaultWorking(
    useMemo(
      () =>
        what === 'rods'
          ? workingOfWeights(rods.filter(isRod), [])
          : workingOfWeights(
              [],
              pieces.filter((piece) => piece !== null),
            ),
      [what, rods, pieces],
    ),
  );
  const count = what === 'rods' ? rods.length : pieces.length;
  const add = () => (what === 'rods' ? rodRows.append(NO_ROD) : pieceRows.append(null));
  const drop = () => (what === 'rods' ? rodRows.pop() : pieceRows.pop());
  const body =
    matched && tolerance_g !== null && name.trim() !== ''
      ? {
          what,
          name,
          rods: what === 'rods' ? weighedRods : [],
          pieces_g: what === 'pieces' ? weighedPieces : [],
          tolerance_g,
        }
      : undefined;
  return (
    <Section title="Matched to the lightest" key={draft.key}>
      <div className={form.grid}>
        {which}
        <NativeSelect
          label="Weighed"
          data={choices(WEIGHED_KINDS, { rods: 'rods, end by end', pieces: 'whole pieces: pistons, pins' })}
          value={what}
          onChange={(event) => setWhat(event.currentTarget.value as Weights['what'])}
        />
        <TextInput label="What they are" value={name} onChange={(event) => setName(event.currentTarget.value)} />
        <MeasureField label="Alike within, g" kind="number" value={tolerance_g} onChange={setTolerance} zero />
      </div>
      {Array.from({ length: count }, (_, i) => {
        const off = removed(i);
        return (
          <div key={`${what} ${i}`} className={styles.row}>
            <b>{i + 1}</b>
            {what === 'rods' ? (
              <>
                <MeasureField
                  label={`Big end ${i + 1}, g`}
                  kind="number"
                  value={rods[i]?.big_g ?? null}
                  onChange={(big_g) => rodRows.setItemProp(i, 'big_g', big_g)}
                />
                <MeasureField
                  label={`Small end ${i + 1}, g`}
                  kind="number"
                  value={rods[i]?.small_g ?? null}
                  onChange={(small_g) => rodRows.setItemProp(i, 'small_g', small_g)}
                />
              </>
            ) : (
              <MeasureField
                label={`Piece ${i + 1}, g`}
                kind="number"
                value={pieces[i] ?? null}
                onChange={(value) => pieceRows.setItem(i, value)}
              />
            )}
            <span className={styles.off} data-kind={off && off.most <= (tolerance_g ?? 0) ? 'done' : undefined}>
              {off?.words}
            </span>
          </div>
        );
      })}
      <p className={form.acts}>
        <Button onClick={add}>Add a row</Button>
        {count > 1 && <Button onClick={drop}>Remove the last row</Button>}
        {matched && (
          <span data-testid="matched">
            {matched.alreadyMatched
              ? `Alike within ${significant(tolerance_g ?? 0)} g already.`
              : 'Take off what is told, and weigh again.'}
          </span>
        )}
      </p>
      <KeepMeasure engineId={engineId} kind="weights" body={body} words="Save the weights" draft={draft} />
    </Section>
  );
}

/** Weights matched end by end, and what a balancing report says. */
export function WeightsScreen({
  engineId,
  weights,
  balance,
}: {
  readonly engineId: string;
  readonly weights: readonly EngineMeasure<'weights'>[];
  readonly balance?: EngineMeasure<'balance'>;
}) {
  const sets = [
    ...weights.map(({ body }) => body),
    ...SETS.filter(({ name }) => !weights.some(({ body }) => body.name === name)),
    { name: '', what: 'pieces' as const },
  ];
  const [name, setName] = useState(sets[0]?.name ?? '');
  const set = sets.find((one) => one.name === name) ?? { name, what: 'pieces' as const };
  const data = sets.map((one) => ({ value: one.name, label: one.name || 'another set' }));
  return (
    <Screen title="Weights and balance" lead="Down to the lightest, end by end; then what the balancing shop reports.">
      <HydrationGate>
        <WeighedSet
          key={name}
          engineId={engineId}
          set={set}
          measure={weights.find(({ body }) => body.name === name)}
          which={
            <NativeSelect
              label="Which set"
              data={data}
              value={name}
              onChange={(event) => setName(event.currentTarget.value)}
            />
          }
        />
        <BalancePart engineId={engineId} measure={balance} />
      </HydrationGate>
    </Screen>
  );
}
