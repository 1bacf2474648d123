import type { YardFit } from './load-fits';

const CAPS = { 'cap-final': 'yes', 'final-bolts': 'yes' } as const;

/** The Norrhem’s fits: the middle main bearing is out of limits and holds its caps. */
export const norrhemFits: readonly YardFit[] = [
  {
    id: 'demo-n-fit-mains',
    kind: 'main-clearance',
    name: 'Main bearings, oil clearance',
    places: ['1', '2', '3'],
    methods: ['micrometer'],
    stations: 2,
    angles: 2,
    jointId: 'demo-n-joint-mains',
    holds: ['demo-n-joint-mains'],
    leafId: 'demo-n-mains-play',
    wanted: { limits: { min_mm: 0.03, max_mm: 0.06 }, target_mm: 0.04 },
    detail: { nominal_mm: 45 },
    readings: [
      {
        part: 'journal', unit: 'mm', instrument: 'Micrometer 25 to 50', resolution_mm: 0.001, minutesAgo: 2900, by: 'Anna', answers: {},
        values: [[44.982, 44.981, 44.983, 44.982], [44.971, 44.966, 44.97, 44.968], [44.983, 44.982, 44.982, 44.981]],
      },
      {
        part: 'bore', unit: 'mm', instrument: 'Bore gauge', resolution_mm: 0.001, minutesAgo: 2860, by: 'Anna', answers: CAPS,
        values: [[45.024, 45.026, 45.025, 45.027], [45.03, 45.036, 45.031, 45.034], [45.025, 45.024, 45.026, 45.025]],
      },
    ],
  },
  {
    id: 'demo-n-fit-float',
    kind: 'crank-float',
    name: 'Crankshaft end float',
    places: ['1'],
    methods: ['dial'],
    stations: 3,
    angles: 1,
    jointId: 'demo-n-joint-mains',
    holds: ['demo-n-joint-mains'],
    wanted: { limits: { min_mm: 0.05, max_mm: 0.15 }, soft: { min_mm: 0.05, max_mm: 0.1 } },
    readings: [
      {
        part: 'push', unit: 'mm', instrument: 'Dial', resolution_mm: 0.01, minutesAgo: 2820, by: 'Anna', answers: { 'cap-final': 'yes', 'seal-out': 'yes' },
        values: [[0, 0]],
      },
      {
        part: 'pull', unit: 'mm', instrument: 'Dial', resolution_mm: 0.01, minutesAgo: 2819, by: 'Anna', answers: { 'cap-final': 'yes', 'seal-out': 'yes' },
        values: [[0.11, 0.12]],
      },
    ],
  },
  {
    id: 'demo-n-fit-pistons',
    kind: 'piston-bore',
    name: 'Piston to bore',
    places: ['1', '2', '3', '4'],
    methods: ['micrometer'],
    stations: 2,
    angles: 2,
    jointId: null,
    holds: ['demo-n-joint-heads'],
    wanted: { limits: { min_mm: 0.04, max_mm: 0.08 } },
    detail: { nominal_mm: 60 },
    readings: [],
  },
]; // prettier-ignore
