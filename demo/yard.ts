import type { Yard } from './load-yard';
import { filmTrial } from './film-trial';
import { fourteen } from './fourteen';
import { maestrale } from './maestrale';
import { norrhem } from './norrhem';

/** Larkmoor Yard. Every maker, engine, manual and figure in it is made up. */
export const demonstrationYard: Yard = {
  wrenches: [
    {
      id: 'demo-wrench-ft', name: 'Half-inch click wrench', unit: 'lbf·ft', min: 10, max: 100, graduation: 0.5, accuracy_pct: 4, checkedDaysAgo: 120,
      calibration: [{ set: 20, true: 19.6 }, { set: 60, true: 60.5 }, { set: 100, true: 101.5 }],
    },
    { id: 'demo-wrench-nm', name: 'Three-eighths click wrench', unit: 'N·m', min: 5, max: 60, graduation: 0.5, accuracy_pct: 4, checkedDaysAgo: 75 },
    { id: 'demo-wrench-in', name: 'Quarter-inch click wrench', unit: 'lbf·in', min: 20, max: 200, graduation: 1, accuracy_pct: 6, checkedDaysAgo: 75 },
    { id: 'demo-wrench-old', name: 'Old beam wrench', unit: 'kgf·m', min: 1, max: 12, graduation: 0.25, accuracy_pct: 10, checkedDaysAgo: 900 },
  ],
  trials: [filmTrial],
  shims: [0.25, 0.3, 0.35].map((thickness_mm) => ({ family: 'Camshaft shims', thickness_mm, typed: `${thickness_mm.toFixed(2)} mm`, count: 1 })),
  engines: [fourteen, maestrale, norrhem],
}; // prettier-ignore
