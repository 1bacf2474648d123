import { compression, displacement, type CompressionInput, type RodWeight } from '@/core/fits';
import type { Working } from '@/interface/shell/working-margin';

const figure = (value: number, digits = 6) => ({ value, digits });
/** A quantity that may lie below nothing, in brackets where it does. */
const term = (value: number) => (value < 0 ? ['(', figure(value), ')'] : [figure(value)]);

export interface VolumesGiven {
  readonly bore_mm: number;
  readonly overbore_mm: number;
  readonly stroke_mm: number;
  readonly cylinders: number;
  readonly above?: Omit<CompressionInput, 'bore_mm' | 'stroke_mm'>;
}

const squareOf = (bore_mm: number) => (Math.PI / 4) * bore_mm ** 2;

/** Swept volume and compression ratio with every figure put in; lengths in mm, volumes in cc. @throws DomainError */
export function workingOfVolumes({ bore_mm, overbore_mm, stroke_mm, cylinders, above }: VolumesGiven): Working {
  const { swept_cc, total_cc, total_cuin } = displacement(bore_mm, stroke_mm, cylinders, overbore_mm);
  const bored = bore_mm + overbore_mm;
  const ratio = above && compression({ bore_mm: bored, stroke_mm, ...above });
  return {
    title: 'Volumes',
    lines: [
      {
        formula: 'swept = π/4 · (bore + overbore)² · stroke / 1000',
        figures: [
          'π/4 × (',
          figure(bore_mm),
          ' + ',
          figure(overbore_mm),
          ')² × ',
          figure(stroke_mm),
          ' / 1000 = ',
          figure(swept_cc, 5),
          ' cc',
        ],
      },
      {
        formula: 'in all = swept · cylinders; / 16.387 for cu in',
        figures: [
          figure(swept_cc, 5),
          ' × ',
          figure(cylinders),
          ' = ',
          figure(total_cc, 5),
          ' cc; ',
          figure(total_cuin, 4),
          ' cu in',
        ],
      },
      ...(above && ratio
        ? [
            {
              formula: 'gasket = π/4 · hole² · thickness / 1000',
              figures: [
                'π/4 × ',
                figure(above.gasket.bore_mm),
                '² × ',
                figure(above.gasket.thickness_mm),
                ' / 1000 = ',
                figure((squareOf(above.gasket.bore_mm) * above.gasket.thickness_mm) / 1000, 4),
                ' cc',
              ],
            },
            {
              formula: 'deck = π/4 · (bore + overbore)² · piston below the face / 1000',
              figures: [
                'π/4 × ',
                figure(bored),
                '² × ',
                ...term(above.deck_mm),
                ' / 1000 = ',
                figure((squareOf(bored) * above.deck_mm) / 1000, 4),
                ' cc',
              ],
            },
            {
              formula: 'left = chamber + gasket + deck + dish',
              figures: [
                figure(above.chamber_cc),
                ' + ',
                figure((squareOf(above.gasket.bore_mm) * above.gasket.thickness_mm) / 1000, 4),
                ' + ',
                ...term(Number(((squareOf(bored) * above.deck_mm) / 1000).toPrecision(4))),
                ' + ',
                ...term(above.crown_cc),
                ' = ',
                figure(ratio.clearance_cc, 4),
                ' cc',
              ],
            },
            {
              formula: 'ratio = (swept + left) / left',
              figures: [
                '(',
                figure(swept_cc, 5),
                ' + ',
                figure(ratio.clearance_cc, 4),
                ') / ',
                figure(ratio.clearance_cc, 4),
                ' = ',
                figure(ratio.ratio, 3),
                ' : 1',
              ],
            },
          ]
        : []),
    ],
    remarks: [
      ['Deck', 'below the face counts as more, above it as less: give it with a minus'],
      ['Crown', 'a dish counts as more, a dome as less: give it with a minus'],
    ],
  };
}

interface Measured {
  readonly standard_mm: number;
  readonly measured_mm: number;
  /** The nearest size on sale; undefined where it lies between sizes. */
  readonly step_mm?: number;
}

type Tell = (mm: number) => string;

const sized = (
  name: string,
  more: Measured | undefined,
  sign: 1 | -1,
  { size, gap }: { readonly size: Tell; readonly gap: Tell },
) => {
  const [formula, a, b] =
    sign > 0
      ? [`${name} undersize = standard − measured`, more?.standard_mm, more?.measured_mm]
      : [`${name} oversize = measured − standard`, more?.measured_mm, more?.standard_mm];
  if (a === undefined || b === undefined) return { formula, figures: ['to the nearest step on sale'] };
  const nearest =
    more?.step_mm === undefined ? 'between sizes' : more.step_mm === 0 ? 'standard' : `the ${gap(more.step_mm)} size`;
  return { formula, figures: [`${size(a)} − ${size(b)} = ${gap(a - b)}: ${nearest}`] };
};

/** Which shell: how far the journal is under and the housing over, and the step that lies nearest. */
export const workingOfBearings = (
  journal: Measured | undefined,
  housing: Measured | undefined,
  told: { readonly size: Tell; readonly gap: Tell },
): Working => ({
  title: 'Which shell',
  lines: [sized('journal', journal, 1, told), sized('housing', housing, -1, told)],
  remarks: [
    ['Between sizes', 'measured wrong, or to be machined: nothing is on sale for it'],
    ['Shells', 'two halves of one size and one maker’s mark; others go back to the box'],
    ['Backs', 'dry, unless house practice says otherwise; no dirt beneath'],
  ],
});

const fromLightest = (name: string, weights_g: readonly number[]) => {
  const least = Math.min(...weights_g);
  const heaviest = Math.max(...weights_g);
  return {
    formula: `${name}: take off = its weight − the lightest`,
    figures: ['at most ', figure(heaviest), ' − ', figure(least), ' = ', figure(heaviest - least), ' g'],
  };
};

/** How much comes off to match the lightest, at each end of the rods or of whole pieces. */
export const workingOfWeights = (rods: readonly RodWeight[], pieces_g: readonly number[]): Working => ({
  title: 'Down to the lightest',
  lines: [
    ...(rods.length > 0
      ? [
          fromLightest(
            'big ends',
            rods.map(({ big_g }) => big_g),
          ),
          fromLightest(
            'small ends',
            rods.map(({ small_g }) => small_g),
          ),
        ]
      : []),
    ...(pieces_g.length > 0 ? [fromLightest('pieces', pieces_g)] : []),
    ...(rods.length + pieces_g.length === 0
      ? [
          {
            formula: 'take off = its weight − the lightest',
            figures: ['end by end: the big ends turn, the small ends go up and down'],
          },
        ]
      : []),
  ],
  remarks: [
    ['Weigh', 'one end hung, the other on the scale, level, the same way round each time'],
    ['Where', 'only from the pads the maker left for it; never from the web or round a bolt'],
  ],
});
