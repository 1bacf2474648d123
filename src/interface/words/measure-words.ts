import { balanced, compression, displacement, matchPieces, matchRods } from '@/core/fits';
import type { EngineMeasure, EngineMeasures, MeasureKind } from '@/model/engine/engine-measure';
import type { Figures } from '../figures/figures';

/** Said for a ratio of compression while something above the piston was not measured: flat or level is not assumed. */
export const NOT_ALL_ABOVE = 'not all that lies above the piston is given';

function wordsOfMeasures({ significant }: Figures): {
  readonly [K in MeasureKind]: (body: EngineMeasures[K]) => string;
} {
  return {
    volumes: ({
      bore_mm,
      stroke_mm,
      cylinders,
      overbore_mm,
      chamber_cc,
      gasketBore_mm,
      gasket_mm,
      deck_mm,
      crown_cc,
    }) => {
      const { total_cc, total_cuin } = displacement(bore_mm, stroke_mm, cylinders, overbore_mm);
      const bored = `${significant(total_cc, 4)} cc (${significant(total_cuin, 4)} cu in), bored ${significant(overbore_mm)} mm over`;
      if (chamber_cc === undefined) return `${bored}.`;
      if (gasketBore_mm === undefined || gasket_mm === undefined || deck_mm === undefined || crown_cc === undefined)
        return `${bored}; compression: ${NOT_ALL_ABOVE}.`;
      const gasket = { bore_mm: gasketBore_mm, thickness_mm: gasket_mm };
      const above = { chamber_cc, gasket, deck_mm, crown_cc };
      const { ratio } = compression({ bore_mm: bore_mm + overbore_mm, stroke_mm, ...above });
      return `${bored}; compression ${significant(ratio)} : 1.`;
    },
    weights: ({ what, name, rods, pieces_g, tolerance_g }) => {
      const matched = what === 'rods' ? matchRods(rods, tolerance_g) : matchPieces(pieces_g, tolerance_g);
      const given =
        what === 'rods'
          ? rods.map(({ big_g, small_g }) => `${big_g} and ${small_g} g`)
          : pieces_g.map((piece) => `${piece} g`);
      return `${name}: ${given.join('; ')}. ${matched.alreadyMatched ? 'Alike' : 'Not yet alike'} within ${tolerance_g} g.`;
    },
    balance: ({ report, planes }) =>
      `${report ? `${report}: ` : ''}${balanced(planes)
        .map(
          ({ name, before_gmm, after_gmm }) => `${name} ${significant(before_gmm)} to ${significant(after_gmm)} g·mm`,
        )
        .join('; ')}.`,
    clocking: ({ marks, note }) => `${marks.map(({ name, at_deg }) => `${name} at ${at_deg}°`).join(', ')}. ${note}`,
    bearings: ({ name, journal_mm, housing_mm, shells }) =>
      `${name}: journal ${significant(journal_mm, 5)} mm, housing ${significant(housing_mm, 5)} mm; shells ${shells.map(({ upper, lower }) => `${upper}/${lower}`).join(', ')}.`,
    marks: ({ pairs }) => `${pairs.map(({ place, one }) => `${place}: ${one}`).join(', ')}.`,
  };
}

/** What a measure of the whole engine came to, in a sentence. */
export const measureWords = (measure: EngineMeasure, figures: Figures): string =>
  (wordsOfMeasures(figures)[measure.kind] as (body: EngineMeasure['body']) => string)(measure.body);
