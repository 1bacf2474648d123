import type { Op } from '../op';
import { benchOps } from './bench-ops';
import { buildOps } from './build-ops';
import { fastenerOps } from './fastener-ops';
import { heatOps } from './heat-ops';
import { fitsOps } from './fits-ops';
import { jointOps } from './joint-ops';
import { printOps } from './print-ops';
import { workOps } from './work-ops';
import { wrenchOps } from './wrench-ops';

/** The one table of ops; the line tool and the HTTP door both read it. */
export const OPS: ReadonlyMap<string, Op> = new Map<string, Op>(
  Object.entries({
    ...printOps,
    ...fastenerOps,
    ...jointOps,
    ...wrenchOps,
    ...workOps,
    ...fitsOps,
    ...buildOps,
    ...benchOps,
    ...heatOps,
  }),
);
