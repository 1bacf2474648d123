'use client';

import { useMemo, useState } from 'react';
import { compression, displacement } from '@/core/fits';
import { isDomainError } from '@/core/units';
import type { EngineMeasure, EngineMeasures } from '@/model/engine/engine-measure';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { useTableDraft } from '@/interface/parts/use-table-draft';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { KeepMeasure } from './kept-measure';
import { NOT_ALL_ABOVE } from '@/interface/words/measure-words';
import { workingOfVolumes, type VolumesGiven } from './measure-working';
import styles from './measures.module.css';

type Volumes = EngineMeasures['volumes'];
type Fields = { readonly [K in keyof Volumes]-?: number | null };

/** What has been given, as far as it can be reckoned with. */
function givenOf(v: Fields): VolumesGiven | undefined {
  const { bore_mm, stroke_mm, cylinders, overbore_mm, chamber_cc, gasketBore_mm, gasket_mm, deck_mm, crown_cc } = v;
  if (bore_mm === null || stroke_mm === null || cylinders === null) return undefined;
  const swept = { bore_mm, stroke_mm, cylinders, overbore_mm: overbore_mm ?? 0 };
  if (chamber_cc === null || gasketBore_mm === null || gasket_mm === null || deck_mm === null || crown_cc === null)
    return swept;
  const gasket = { bore_mm: gasketBore_mm, thickness_mm: gasket_mm };
  return { ...swept, above: { chamber_cc, gasket, deck_mm, crown_cc } };
}

function reckoned(v: Fields) {
  const given = givenOf(v);
  if (!given) return { ok: true as const };
  const { bore_mm, stroke_mm, cylinders, overbore_mm, above } = given;
  try {
    const swept = displacement(bore_mm, stroke_mm, cylinders, overbore_mm);
    const ratio = above && compression({ bore_mm: bore_mm + overbore_mm, stroke_mm, ...above });
    return { ok: true as const, swept, ratio, working: workingOfVolumes(given) };
  } catch (error) {
    if (isDomainError(error)) return { ok: false as const, message: error.message };
    throw error;
  }
}

const bodyOf = (v: Fields): Volumes | undefined => {
  const { bore_mm, stroke_mm, cylinders, overbore_mm, ...rest } = v;
  if (bore_mm === null || stroke_mm === null || cylinders === null) return undefined;
  const given = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== null));
  return { bore_mm, stroke_mm, cylinders, overbore_mm: overbore_mm ?? 0, ...given };
};

const EMPTY: Fields = {
  bore_mm: null,
  stroke_mm: null,
  cylinders: null,
  overbore_mm: null,
  chamber_cc: null,
  gasketBore_mm: null,
  gasket_mm: null,
  deck_mm: null,
  crown_cc: null,
};

/** Displacement and compression, with the overbore, as measured. */
export function VolumesScreen({
  engineId,
  kept: measure,
}: {
  readonly engineId: string;
  readonly kept?: EngineMeasure<'volumes'>;
}) {
  const kept = measure?.body;
  const { significant } = useFigures();
  const onDisk: Fields = { ...EMPTY, ...kept };
  const [v, setV] = useState(onDisk);
  const draft = useTableDraft({ name: 'volumes', values: v, onDisk, id: measure?.id, restore: setV });
  const set = (name: keyof Fields) => (value: number | null) => setV((before) => ({ ...before, [name]: value }));
  const found = useMemo(() => reckoned(v), [v]);
  useDefaultWorking(found.ok ? found.working : undefined);
  return (
    <Screen title="Displacement and compression" lead="As measured on this engine, with its overbore.">
      <HydrationGate key={draft.key}>
        <Section title="Swept">
          <div className={form.grid}>
            <MeasureField bothSystems label="Standard bore" value={v.bore_mm} onChange={set('bore_mm')} />
            <MeasureField
              bothSystems
              label="Overbore, on the diameter"
              value={v.overbore_mm}
              onChange={set('overbore_mm')}
              zero
            />
            <MeasureField bothSystems label="Stroke" value={v.stroke_mm} onChange={set('stroke_mm')} />
            <MeasureField label="Cylinders" kind="number" value={v.cylinders} onChange={set('cylinders')} />
          </div>
        </Section>
        <Section title="Above the piston">
          <div className={form.grid}>
            <MeasureField
              label="Chamber, cc"
              description="By burette, valves in"
              kind="number"
              value={v.chamber_cc}
              onChange={set('chamber_cc')}
              zero
            />
            <MeasureField
              bothSystems
              label="Hole in the gasket"
              value={v.gasketBore_mm}
              onChange={set('gasketBore_mm')}
            />
            <MeasureField bothSystems label="Gasket, crushed" value={v.gasket_mm} onChange={set('gasket_mm')} zero />
            <MeasureField
              bothSystems
              label="Piston below the face"
              description="Above it with a minus"
              value={v.deck_mm}
              onChange={set('deck_mm')}
              signed
            />
            <MeasureField
              label="Dish, cc"
              description="A dome with a minus"
              kind="number"
              value={v.crown_cc}
              onChange={set('crown_cc')}
              signed
            />
          </div>
        </Section>
        {!found.ok && <Notice kind="stop">{found.message}</Notice>}
        {found.ok && found.swept && (
          <dl className={styles.facts} data-testid="volumes">
            <div>
              <dt>In all</dt>
              <dd>{significant(found.swept.total_cc, 4)} cc</dd>
            </div>
            <div>
              <dt>or</dt>
              <dd>{significant(found.swept.total_cuin, 4)} cu in</dd>
            </div>
            <div>
              <dt>Standard</dt>
              <dd>{significant(found.swept.standard_cc ?? found.swept.total_cc, 4)} cc</dd>
            </div>
            {found.ratio ? (
              <div>
                <dt>Compression</dt>
                <dd>{significant(found.ratio.ratio)} : 1</dd>
              </div>
            ) : (
              v.chamber_cc !== null && (
                <div>
                  <dt>Compression</dt>
                  <dd>{NOT_ALL_ABOVE}</dd>
                </div>
              )
            )}
          </dl>
        )}
        <KeepMeasure engineId={engineId} kind="volumes" body={found.ok ? bodyOf(v) : undefined} draft={draft} />
      </HydrationGate>
    </Screen>
  );
}
