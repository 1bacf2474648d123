import type { YardFit } from './load-fits';

const COVER = { 'cover-tight': 'yes', 'seal-out': 'yes' } as const;
const DIAL = { unit: 'mm', instrument: 'Dial', resolution_mm: 0.01 } as const;

/** The Maestrale’s fits: no shim in the drawer brings the camshaft’s float inside, so one is on order. */
export const maestraleFits: readonly YardFit[] = [
  {
    id: 'demo-m-fit-cam',
    kind: 'cam-float',
    name: 'Camshaft end float',
    places: ['1'],
    methods: ['dial'],
    stations: 3,
    angles: 1,
    jointId: 'demo-m-joint-cover',
    holds: ['demo-m-joint-cover'],
    leafId: 'demo-m-cam-play',
    wanted: { limits: { min_mm: 0.05, max_mm: 0.1 } },
    detail: { shim: { family: 'Camshaft shims', fitted_mm: 0.3, crush: { min_mm: 0.02, max_mm: 0.04 }, stack: 1 } },
    readings: [
      { ...DIAL, part: 'push', minutesAgo: 9020, answers: COVER, values: [[0, 0, 0]] },
      { ...DIAL, part: 'pull', minutesAgo: 9019, answers: COVER, values: [[0.21, 0.21, 0.2]] },
      { ...DIAL, part: 'zero', minutesAgo: 9018, answers: COVER, values: [[0, 0.01, 0]] },
    ],
    lines: [{ kind: 'order', place: 0, minutesAgo: 8900, body: { words: 'shim of 0.40 mm' } }],
  },
  {
    id: 'demo-m-fit-side',
    kind: 'rod-side',
    name: 'Big end, side clearance',
    places: ['1'],
    methods: ['feelers'],
    stations: 2,
    angles: 1,
    jointId: null,
    holds: [],
    wanted: { limits: { min_mm: 0.15, max_mm: 0.35 } },
    readings: [
      { part: 'goes', unit: 'mm', instrument: 'Feelers', minutesAgo: 14_400, answers: {}, values: [[0.2, 0.2]] },
      { part: 'stops', unit: 'mm', instrument: 'Feelers', minutesAgo: 14_399, answers: {}, values: [[0.25, 0.25]] },
    ],
  },
  {
    id: 'demo-m-fit-runout',
    kind: 'runout',
    name: 'Crankshaft, runout at its ends',
    places: ['Drive side', 'Timing side'],
    methods: ['dial'],
    stations: 1,
    angles: 1,
    jointId: null,
    holds: [],
    wanted: { limits: { min_mm: 0, max_mm: 0.04 } },
    readings: [
      { ...DIAL, resolution_mm: 0.001, part: 'high', minutesAgo: 14_380, answers: {}, values: [[0.012], [0.009]] },
      { ...DIAL, resolution_mm: 0.001, part: 'low', minutesAgo: 14_379, answers: {}, values: [[-0.011], [-0.01]] },
    ],
  },
];
