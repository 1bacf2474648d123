import { boltSegments, stiffness, usualBearingFace } from '@/core/fastener';
import { threadNamed } from '@/core/thread';
import type { YardTrial } from './load-yard';

const thread = threadNamed('7/16 BSF');
const face = usualBearingFace(thread);
const segments = boltSegments(thread, { shank_mm: 62, shankDiameter_mm: 11.1, freeThread_mm: 8 });
const E_GPA = 205;
const perKilonewton = 1000 / stiffness(segments, E_GPA);

/** Clamp load in kN that each bolt's stretch showed, in the order in which they were pulled. */
const pulled: Readonly<Record<string, readonly (readonly [bolt: string, kN: number])[]>> = {
  'engine-oil': [['1', 24.6], ['2', 26.4], ['3', 23.5], ['4', 25.4], ['5', 25.9]],
  'moly-paste': [['1', 34.9], ['2', 37.4], ['3', 33.6], ['4', 36.1], ['5', 36.8]],
  'dry-bare': [['6', 14.6], ['7', 16.9], ['8', 13.4]],
}; // prettier-ignore

/** The yard's own trial of three films on new 7/16 BSF bolts at 50 N·m. */
export const filmTrial: YardTrial = {
  id: 'demo-trial-three-films',
  name: 'Three films on 7/16 BSF bolts',
  thread: thread.designation,
  outer_mm: face.outer_mm,
  inner_mm: face.inner_mm,
  segments,
  E_GPa: E_GPA,
  pulls: Object.entries(pulled).flatMap(([film, bolts]) =>
    bolts.map(([bolt, kN]) => {
      const stretch_mm = Number((kN * perKilonewton).toFixed(4));
      return { bolt, film, torque_Nm: 50, stretch_mm, typed: `${stretch_mm} mm` };
    }),
  ),
};
