import type { Yard } from '@/features/shop/demonstration';
import { fourteen } from './fourteen';
import { maestrale } from './maestrale';
import { norrhem } from './norrhem';

/** Larkmoor Yard. Every maker, engine, manual and figure in it is made up. */
export const demonstrationYard: Yard = {
  wrenches: [
    { id: 'demo-wrench-ft', name: 'Half-inch click wrench', unit: 'lbf·ft', min: 10, max: 100, graduation: 0.5, accuracyPct: 4 },
    { id: 'demo-wrench-nm', name: 'Three-eighths click wrench', unit: 'N·m', min: 5, max: 60, graduation: 0.5, accuracyPct: 4 },
    { id: 'demo-wrench-in', name: 'Quarter-inch click wrench', unit: 'lbf·in', min: 20, max: 200, graduation: 1, accuracyPct: 6 },
  ],
  engines: [fourteen, maestrale, norrhem],
};
