import { boltSegments } from '@/core/fastener';
import { threadNamed } from '@/core/thread';
import type { YardTrial } from '@/features/shop/demonstration';

const stretches: Readonly<Record<string, readonly (readonly [bolt: string, mm: number])[]>> = {
  'engine-oil': [['1', 0.0695], ['2', 0.074], ['3', 0.0662], ['4', 0.0711], ['5', 0.0728]],
  'moly-paste': [['1', 0.1034], ['2', 0.1096], ['3', 0.0989], ['4', 0.1061], ['5', 0.1079]],
  'dry-bare': [['6', 0.0402], ['7', 0.0464], ['8', 0.0371]],
}; // prettier-ignore

/** The yard's own trial of three films on new 3/8 BSF bolts at 34 N·m, in the order in which they were pulled. */
export const filmTrial: YardTrial = {
  id: 'demo-trial-three-films',
  name: 'Three films on 3/8 BSF bolts',
  thread: '3/8 BSF',
  outerMm: 14.48,
  innerMm: 10.52,
  segments: boltSegments(threadNamed('3/8 BSF'), { shank_mm: 38, shankDiameter_mm: 9.5, freeThread_mm: 6 }),
  eGpa: 205,
  pulls: Object.entries(stretches).flatMap(([film, pulls]) =>
    pulls.map(([bolt, stretchMm]) => ({ bolt, film, torqueNm: 34, stretchMm, typed: `${stretchMm} mm` })),
  ),
};
