'use client';

import { useMemo, useState } from 'react';
import { compression, displacement } from '@/core/fits';
import { isDomainError } from '@/core/units';
import type { EngineSheets } from '@/db/repositories/sheet-repository';
import { useFigures } from '@/interface/figures/preferences';
import { Alive } from '@/interface/parts/alive';
import form from '@/interface/parts/form.module.css';
import { MeasureField } from '@/interface/parts/measure-field';
import { Part, Remark, Sheet } from '@/interface/parts/sheet';
import { useStandingWorking, type Working } from '@/interface/shell/working-margin';
import { KeepSheet } from './kept-sheet';
import styles from './engine-sheets.module.css';

type Volumes = EngineSheets['volumes'];
type Fields = { readonly [K in keyof Volumes]-?: number | null };

function ratioOf(v: Fields) {
  const { bore_mm, overbore_mm, stroke_mm, chamber_cc, gasketBore_mm, gasket_mm, deck_mm, crown_cc } = v;
  if (bore_mm === null || stroke_mm === null || chamber_cc === null || gasketBore_mm === null || gasket_mm === null) return undefined;
  const bored = bore_mm + (overbore_mm ?? 0);
  return compression({
    bore_mm: bored,
    stroke_mm,
    chamber_cc,
    gasket: { bore_mm: gasketBore_mm, thickness_mm: gasket_mm },
    deck_mm: deck_mm ?? 0,
    crown_cc: crown_cc ?? 0,
  });
}

function reckoned(v: Fields) {
  try {
    const { bore_mm, stroke_mm, cylinders, overbore_mm } = v;
    if (bore_mm === null || stroke_mm === null || cylinders === null) return { ok: true as const };
    return { ok: true as const, swept: displacement(bore_mm, stroke_mm, cylinders, overbore_mm ?? 0), ratio: ratioOf(v) };
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

const EMPTY: Fields = { bore_mm: null, stroke_mm: null, cylinders: null, overbore_mm: null, chamber_cc: null, gasketBore_mm: null, gasket_mm: null, deck_mm: null, crown_cc: null }; // prettier-ignore

/** Displacement and compression, with the overbore, as measured. */
export function VolumesSheet({ engineId, kept }: { readonly engineId: string; readonly kept?: Volumes }) {
  const { significant } = useFigures();
  const [v, setV] = useState<Fields>({ ...EMPTY, ...kept });
  const set = (name: keyof Fields) => (value: number | null) => setV((before) => ({ ...before, [name]: value }));
  const found = useMemo(() => reckoned(v), [v]);
  useStandingWorking(
    useMemo((): Working | undefined => {
      if (!found.ok || !found.swept) return undefined;
      const { swept, ratio } = found;
      return {
        title: 'Volumes',
        lines: [
          { formula: 'swept = π/4 · (bore + overbore)² · stroke', figures: [{ value: swept.swept_cc, digits: 5 }, ' cc a cylinder'] },
          ...(ratio ? [
            { formula: 'left above the piston = chamber + gasket + deck + crown', figures: [{ value: ratio.clearance_cc, digits: 4 }, ' cc'] },
            { formula: 'ratio = (swept + left) / left', figures: [{ value: ratio.ratio, digits: 3 }, ' : 1'] },
          ] : []),
        ],
        remarks: [['Deck', 'below the face counts as more, above it as less'], ['Crown', 'a dish counts as more, a dome as less']],
      }; // prettier-ignore
    }, [found]),
  );
  return (
    <Sheet title="Displacement and compression" lead="As measured on this engine, with its overbore.">
      <Alive>
        <Part title="Swept">
          <div className={form.grid}>
            <MeasureField label="Standard bore" value={v.bore_mm} onChange={set('bore_mm')} />
            <MeasureField label="Overbore, on the diameter" value={v.overbore_mm} onChange={set('overbore_mm')} zero />
            <MeasureField label="Stroke" value={v.stroke_mm} onChange={set('stroke_mm')} />
            <MeasureField label="Cylinders" kind="number" value={v.cylinders} onChange={set('cylinders')} />
          </div>
        </Part>
        <Part title="Above the piston">
          <div className={form.grid}>
            <MeasureField label="Chamber, cc" description="By burette, valves in" kind="number" value={v.chamber_cc} onChange={set('chamber_cc')} zero />
            <MeasureField label="Hole in the gasket" value={v.gasketBore_mm} onChange={set('gasketBore_mm')} />
            <MeasureField label="Gasket, crushed" value={v.gasket_mm} onChange={set('gasket_mm')} zero />
            <MeasureField label="Piston below the face" value={v.deck_mm} onChange={set('deck_mm')} zero />
            <MeasureField label="Dish, cc" kind="number" value={v.crown_cc} onChange={set('crown_cc')} zero />
          </div>
        </Part>
        {!found.ok && <Remark kind="stop">{found.message}</Remark>}
        {found.ok && found.swept && (
          <dl className={styles.facts} data-testid="volumes">
            <div><dt>In all</dt><dd>{significant(found.swept.total_cc, 4)} cc</dd></div>
            <div><dt>or</dt><dd>{significant(found.swept.total_cuin, 4)} cu in</dd></div>
            <div><dt>Standard</dt><dd>{significant(found.swept.standard_cc ?? found.swept.total_cc, 4)} cc</dd></div>
            {found.ratio && <div><dt>Compression</dt><dd>{significant(found.ratio.ratio)} : 1</dd></div>}
          </dl>
        )}
        <KeepSheet engineId={engineId} kind="volumes" body={found.ok ? bodyOf(v) : undefined} />
      </Alive>
    </Sheet>
  ); // prettier-ignore
}
