/** What is clamped, as the plate that it bends like. Figures stand typical: a picture of what to expect, no more. */
export interface ClampMapFacts {
  readonly head: string;
  readonly gasket: string;
  readonly E_GPa: number;
  readonly poisson: number;
  readonly depth_mm: number;
  /** Share of the bending stiffness of a solid plate that is left by what it is hollow for. */
  readonly solid: number;
  readonly foundation_N_per_mm3: number;
  /** How many times as stiff it is as it springs back, or is pressed as far as before; 1 where it gives as much either way. */
  readonly unloading: number;
  /** Between neighbours of the pattern; null of a joint in no pattern, whose places say it. */
  readonly pitch_mm: number | null;
  /** From the outermost fasteners to the edge. */
  readonly margin_mm: number;
  readonly boltStiffness_N_per_mm: number;
}

type HeadFacts = Pick<ClampMapFacts, 'E_GPa' | 'poisson' | 'depth_mm' | 'solid'>;

interface Preset<Facts> {
  readonly id: string;
  readonly name: string;
  readonly facts: Facts;
}

const IRON = { E_GPa: 105, poisson: 0.26 };
const ALUMINIUM = { E_GPa: 70, poisson: 0.33 };
const JACKETED = 0.35;
const SIDE_VALVE = 0.8;

/** @source E and ν of grey iron and aluminium castings; depths and hollowness are usual ones, measured on no engine. */
export const HEADS: readonly Preset<HeadFacts>[] = [
  { id: 'iron', name: 'Iron head, jacketed, 80 mm deep', facts: { ...IRON, depth_mm: 80, solid: JACKETED } },
  {
    id: 'aluminium',
    name: 'Aluminium head, jacketed, 80 mm deep',
    facts: { ...ALUMINIUM, depth_mm: 80, solid: JACKETED },
  },
  {
    id: 'iron-side-valve',
    name: 'Iron side-valve head, 30 mm deep',
    facts: { ...IRON, depth_mm: 30, solid: SIDE_VALVE },
  },
  {
    id: 'aluminium-side-valve',
    name: 'Aluminium side-valve head, 30 mm deep',
    facts: { ...ALUMINIUM, depth_mm: 30, solid: SIDE_VALVE },
  },
  { id: 'cover', name: 'Aluminium cover, 6 mm thick', facts: { ...ALUMINIUM, depth_mm: 6, solid: 1 } },
];

/**
 * Pressure for each millimetre that gasket and what lies under it give together, and how much stiffer it springs back.
 * @source unloading is commonly 3 to 10 times as stiff as loading for a soft gasket; the least is taken, and no more than
 * twice for one that has settled, whose loading is stiff already
 */
export const GASKETS: readonly Preset<Pick<ClampMapFacts, 'foundation_N_per_mm3' | 'unloading'>>[] = [
  {
    id: 'composite-first',
    name: 'Composite, pulled for the first time',
    facts: { foundation_N_per_mm3: 30, unloading: 4 },
  },
  { id: 'composite-settled', name: 'Composite, settled', facts: { foundation_N_per_mm3: 120, unloading: 2 } },
  { id: 'copper-sandwich', name: 'Copper with a soft filling', facts: { foundation_N_per_mm3: 70, unloading: 3 } },
  { id: 'copper', name: 'Solid copper, annealed', facts: { foundation_N_per_mm3: 200, unloading: 3 } },
  { id: 'steel', name: 'Embossed steel, not yet flat', facts: { foundation_N_per_mm3: 120, unloading: 3 } },
];
