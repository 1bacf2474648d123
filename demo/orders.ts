import { lockKey } from '@/model/order/loose';
import type { YardOrder } from './load-order';

/** Complete: started this morning, its tray balanced. */
export const fourteenOrder: YardOrder = {
  start: 'side-valve-four',
  meeting: {
    mains: 'demo-f-joint-mains',
    'head-tight': 'demo-f-joint-head',
    'mains-play': 'demo-f-fit-mains',
    'rods-play': 'demo-f-fit-rods',
    'end-float': 'demo-f-fit-float',
    'rods-side': 'demo-f-fit-side',
    'piston-play': 'demo-f-fit-pistons',
    'ring-gaps': 'demo-f-fit-gaps',
    'sv-guides': 'demo-f-fit-guides',
  },
  doneMinutesAgo: { 'clean-block': 23_500, 'main-caps': 21_800, 'shaft-free': 21_000, 'head-on': 1640, 'guide-studs': 1600, manifold: 1200, primed: 300, started: 245 },
  open: [],
  felt: { 'shaft-free': 'free all round, both ways; falls on from its own weight', 'rods-free': 'a little firmer with each rod, even all round' },
  lies: { 'main-caps': 'Caps stamped 1 to 5 on the camshaft side, as the saddles are' },
  parts: [
    { id: 'demo-f-part-caps', name: 'Main bearing caps', need: 5, step: 'main-caps', mark: '1 to 5', detail: { mates: 'cap and saddle of one number' } },
    { id: 'demo-f-part-main-nuts', name: 'Main cap nuts', need: 10, step: 'main-caps', bag: 'Tin 1', origin: 'bought', condition: 'as-new', checked: ['thread', 'socket'] },
    { id: 'demo-f-part-rods', name: 'Connecting rods with caps', need: 4, step: 'rod-caps', mark: '1 to 4', detail: { mates: 'rod and cap of one number' } },
    { id: 'demo-f-part-seal', name: 'Rear packing', need: 1, step: 'rear-seal', origin: 'bought', condition: 'once-only', checked: ['length'] },
    { id: 'demo-f-part-cotters', name: 'Valve cotters', need: 16, step: 'sv-valves', bag: 'Tin 4', detail: { hides: 'stay stuck in the grease of the old tin' } },
    { id: 'demo-f-part-gasket', name: 'Head gasket', need: 1, step: 'head-on', origin: 'bought', condition: 'once-only', checked: ['length'] },
    { id: 'demo-f-part-head-nuts', name: 'Head nuts', need: 18, step: 'head-on', bag: 'Tin 6', origin: 'bought', condition: 'as-new', checked: ['thread', 'socket'] },
  ],
  lines: [
    { kind: 'tight', body: { of: lockKey('demo-f-joint-mains') }, minutesAgo: 400 },
    { kind: 'tight', body: { of: lockKey('demo-f-joint-head') }, minutesAgo: 400 },
  ],
}; // prettier-ignore

/** Half way through its head: a guide stud is in, and one part is on order. */
export const maestraleOrder: YardOrder = {
  start: 'overhead-cam-single',
  meeting: {
    'head-tight': 'demo-m-joint-head',
    cover: 'demo-m-joint-cover',
    'cam-float': 'demo-m-fit-cam',
    side: 'demo-m-fit-side',
    true: 'demo-m-fit-runout',
  },
  doneMinutesAgo: { 'wheels-clean': 20_000, 'head-on': 13_100 },
  open: ['guide-studs', 'timed', 'cam-wheel', 'lash', 'manifold', 'primed', 'started'],
  lies: { 'piston-on': 'Arrow to the exhaust, as it came apart; photograph in the notes' },
  parts: [
    { id: 'demo-m-part-circlips', name: 'Circlips', need: 2, step: 'piston-on', origin: 'bought', condition: 'once-only', checked: ['length'] },
    { id: 'demo-m-part-stud', name: 'Cylinder studs', need: 4, step: 'head-on', origin: 'substitute', condition: 'as-new', checked: ['thread', 'length', 'socket'], detail: { words: 'Of another grade: its joint says what that means' } },
    { id: 'demo-m-part-tab', name: 'Tab washer of the camshaft wheel', need: 1, here: 0, step: 'cam-wheel', origin: 'bought', condition: 'once-only', ordered: 'from the thread shop, by post' },
    { id: 'demo-m-part-seal', name: 'Timing cover gasket', need: 1, step: 'cover', origin: 'made', condition: 'once-only', checked: ['length'] },
  ],
}; // prettier-ignore

/** A trial build of the case, parts being checked in; two are short, and a fit holds a gate. */
export const norrhemOrder: YardOrder = {
  start: 'two-stroke-twin',
  meeting: { 'case-tight': 'demo-n-joint-mains', 'head-tight': 'demo-n-joint-heads', 'crank-float': 'demo-n-fit-float', 'piston-fit': 'demo-n-fit-pistons' },
  doneMinutesAgo: { 'wheels-clean': 9000, 'left-clean': 5000, 'right-bearing': 1200 },
  open: [
    'middle-seal', 'wheels-together', 'crank-in', 'joint-face', 'case-closed', 'case-free', 'outer-seals', 'tight-case', 'mouth-covered', 'piston-on', 'cloth-out', 'base-gasket', 'barrel-on',
    'barrel-tight', 'barrel-free', 'head-clean', 'faces', 'head-on', 'guide-studs', 'ignition', 'rotor', 'manifold', 'primed', 'started', 'gap', 'side', 'true',
  ],
  tried: ['left-bearing', 'right-bearing'],
  trialUpTo: 'case-closed',
  parts: [
    { id: 'demo-n-part-rollers', name: 'Main bearings', need: 3, here: 1, step: 'crank-in', origin: 'bought', condition: 'as-new', ordered: 'two by the end of the month' },
    { id: 'demo-n-part-seals', name: 'Crank seals', need: 4, step: 'outer-seals', origin: 'bought', condition: 'once-only', checked: ['length'] },
    { id: 'demo-n-part-screws', name: 'Case screws', need: 14, step: 'case-closed', bag: 'Bag 3' },
    { id: 'demo-n-part-gaskets', name: 'Cylinder base gaskets', need: 4, step: 'base-gasket', origin: 'bought', condition: 'once-only' },
    { id: 'demo-n-part-dowels', name: 'Dowels', need: 2, step: 'case-closed', mark: 'blue', detail: { mates: 'long one at the top', hides: 'stay stuck in the left case' } },
  ],
}; // prettier-ignore
