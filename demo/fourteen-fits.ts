import type { YardFit } from './load-fits';

const CAPS = { 'cap-final': 'yes', 'final-bolts': 'yes' } as const;
const STRIP = { ...CAPS, dry: 'yes', 'shaft-still': 'yes' } as const;
const FLOAT = { 'cap-final': 'yes', 'seal-out': 'yes' } as const;
const MIKE = { unit: 'in', resolution_mm: 0.00254, by: 'Ruth' } as const;
const GAP = { unit: 'thou', resolution_mm: 0.0127, by: 'Ruth' } as const;
const thou = (value: number) => Number((value * 0.0254).toFixed(6));

const PLAIN = { jointId: null, holds: [] } as const;

/** The Fourteen’s fits: every one inside, as it was closed up. */
export const fourteenFits: readonly YardFit[] = [
  {
    id: 'demo-f-fit-mains',
    kind: 'main-clearance',
    name: 'Main bearings, oil clearance',
    places: ['Front', 'Middle', 'Rear'],
    methods: ['micrometer'],
    stations: 2,
    angles: 2,
    jointId: 'demo-f-joint-mains',
    holds: ['demo-f-joint-mains'],
    leafId: 'demo-f-mains-play',
    wanted: { limits: { min_mm: thou(1), max_mm: thou(2) }, rule: { perDiameter: [0.00075, 0.001], floor_mm: 0.025 } },
    detail: { nominal_mm: 50.8 },
    readings: [
      { ...MIKE, part: 'journal', instrument: 'Micrometer 1 to 2', minutesAgo: 22_600, answers: {}, values: [[1.9985, 1.9984, 1.9985, 1.9985], [1.9983, 1.9983, 1.9984, 1.9983], [1.9984, 1.9985, 1.9984, 1.9984]] },
      { ...MIKE, part: 'bore', instrument: 'Bore gauge', minutesAgo: 22_550, answers: CAPS, values: [[1.9999, 2.0000, 1.9999, 1.9999], [1.9998, 1.9999, 1.9998, 1.9998], [1.9999, 1.9999, 2.0000, 1.9999]] },
    ],
  },
  {
    id: 'demo-f-fit-rods',
    kind: 'big-end-clearance',
    name: 'Big ends, oil clearance',
    places: ['1', '2', '3', '4'],
    methods: ['micrometer', 'strip'],
    stations: 2,
    angles: 2,
    ...PLAIN,
    wanted: { limits: { min_mm: thou(1), max_mm: thou(2.5) }, target_mm: thou(1.5) },
    detail: { nominal_mm: 44.45, packet: { name: 'Green strip', min_mm: thou(1), max_mm: thou(3), unit: 'thou' } },
    readings: [
      { ...MIKE, part: 'journal', instrument: 'Micrometer 1 to 2', minutesAgo: 22_400, answers: {}, values: [[1.7484, 1.7484, 1.7485, 1.7484], [1.7483, 1.7484, 1.7483, 1.7483], [1.7485, 1.7484, 1.7485, 1.7485], [1.7484, 1.7483, 1.7484, 1.7484]] },
      { ...MIKE, part: 'bore', instrument: 'Bore gauge', minutesAgo: 22_360, answers: CAPS, values: [[1.7501, 1.7502, 1.7501, 1.7501], [1.7500, 1.7501, 1.7501, 1.7500], [1.7501, 1.7501, 1.7502, 1.7501], [1.7501, 1.7500, 1.7501, 1.7501]] },
      { ...GAP, part: 'strip', instrument: 'Crushed strip', resolution_mm: 0.0064, minutesAgo: 22_300, answers: STRIP, values: [[1.7, 1.8], [1.7, 1.7], [1.6, 1.7], [1.7, 1.8]] },
    ],
  },
  {
    id: 'demo-f-fit-float',
    kind: 'crank-float',
    name: 'Crankshaft end float',
    places: ['1'],
    methods: ['dial'],
    stations: 3,
    angles: 1,
    jointId: 'demo-f-joint-mains',
    holds: [],
    leafId: 'demo-f-float',
    wanted: { limits: { min_mm: thou(4), max_mm: thou(8) } },
    readings: [
      { ...GAP, part: 'push', instrument: 'Dial', minutesAgo: 21_500, answers: FLOAT, values: [[0, 0, 0]] },
      { ...GAP, part: 'pull', instrument: 'Dial', minutesAgo: 21_499, answers: FLOAT, values: [[6, 6, 5.5]] },
      { ...GAP, part: 'zero', instrument: 'Dial', minutesAgo: 21_498, answers: FLOAT, values: [[0, 0, 0]] },
    ],
  },
  {
    id: 'demo-f-fit-side',
    kind: 'rod-side',
    name: 'Big ends, side clearance',
    places: ['1', '2', '3', '4'],
    methods: ['feelers'],
    stations: 1,
    angles: 1,
    ...PLAIN,
    wanted: { limits: { min_mm: thou(4), max_mm: thou(12) } },
    readings: [
      { ...GAP, part: 'goes', instrument: 'Feelers', minutesAgo: 22_200, answers: {}, values: [[6], [7], [6], [6]] },
      { ...GAP, part: 'stops', instrument: 'Feelers', minutesAgo: 22_199, answers: {}, values: [[7], [8], [7], [7]] },
    ],
  },
  {
    id: 'demo-f-fit-pistons',
    kind: 'piston-bore',
    name: 'Piston to bore',
    places: ['1', '2', '3', '4'],
    methods: ['micrometer'],
    stations: 2,
    angles: 1,
    ...PLAIN,
    holds: ['demo-f-joint-head'],
    wanted: { limits: { min_mm: thou(2), max_mm: thou(4) } },
    detail: { nominal_mm: 63.5, expansion: { journal: 23, bore: 10.5 } },
    readings: [
      { ...MIKE, part: 'journal', instrument: 'Micrometer 2 to 3', minutesAgo: 22_900, answers: {}, reportedBy: 'the machine shop', values: [[2.5170, 2.5169], [2.5171, 2.5170], [2.5170, 2.5170], [2.5169, 2.5170]] },
      { ...MIKE, part: 'bore', instrument: 'Bore gauge', minutesAgo: 22_880, answers: {}, values: [[2.5199, 2.5198], [2.5200, 2.5199], [2.5199, 2.5199], [2.5199, 2.5200]] },
    ],
  },
  {
    id: 'demo-f-fit-gaps',
    kind: 'ring-gap',
    name: 'Ring gap',
    places: ['Bore 1, ring 1', 'Bore 1, ring 2', 'Bore 1, ring 3', 'Bore 2, ring 1', 'Bore 2, ring 2', 'Bore 2, ring 3', 'Bore 3, ring 1', 'Bore 3, ring 2', 'Bore 3, ring 3', 'Bore 4, ring 1', 'Bore 4, ring 2', 'Bore 4, ring 3'],
    methods: ['length'],
    stations: 1,
    angles: 1,
    ...PLAIN,
    holds: ['demo-f-joint-head'],
    wanted: { rule: { perDiameter: [0.0035, 0.0055] } },
    detail: { nominal_mm: 64.008 },
    readings: [
      { ...GAP, part: 'length', instrument: 'Feelers', minutesAgo: 22_700, answers: { squared: 'yes' }, values: [[10], [11], [11], [10], [11], [12], [10], [10], [11], [11], [11], [11]] },
    ],
  },
  {
    id: 'demo-f-fit-guides',
    kind: 'valve-guide',
    name: 'Valve in its guide',
    places: ['1', '2', '3', '4', '5', '6', '7', '8'],
    methods: ['micrometer'],
    stations: 1,
    angles: 1,
    ...PLAIN,
    holds: ['demo-f-joint-head'],
    wanted: { limits: { min_mm: thou(1), max_mm: thou(3) } },
    detail: { nominal_mm: 7.9375 },
    readings: [
      { ...MIKE, part: 'journal', instrument: 'Micrometer 0 to 1', minutesAgo: 22_800, answers: {}, values: [[0.3105], [0.3104], [0.3105], [0.3105], [0.3104], [0.3105], [0.3105], [0.3104]] },
      { ...MIKE, part: 'bore', instrument: 'Bore gauge', minutesAgo: 22_780, answers: {}, values: [[0.3123], [0.3122], [0.3124], [0.3123], [0.3122], [0.3123], [0.3124], [0.3123]] },
    ],
  },
]; // prettier-ignore
