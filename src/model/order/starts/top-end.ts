import { main, stepsOf, type Draft } from './start-step';

const head = stepsOf('Cylinder head');

/** A head made up beside the engine. */
export const headMadeUp = (valves = true): readonly Draft[] => [
  ...(valves
    ? [
        head('fit', 'guides', 'Valves in their guides', {
          meets: ['valve in its guide', 'guide'],
          words: 'Its face is cleaned of the old gasket first.',
        }),
        head('other', 'lapped', 'Valves seated, each in its own place', { makes: ['swarf'] }),
        head('clean', 'lap-clean', 'Lapping paste washed out of head and guides'),
        head('part', 'springs', 'Valves, springs and collets in', {
          surfaces: [['engine oil', 'stems']],
          caution: 'The compressor stands square.',
        }),
      ]
    : [head('clean', 'head-clean', 'Head: face flat and dry')]),
];

/** The head goes on, and is tight. */
export const headOn = (after: readonly string[], people = 2): readonly Draft[] => [
  main('clean', 'faces', 'Both faces wiped dry, bores and threads clear of oil', { after }),
  main('part', 'head-on', 'New gasket, head down over two guide studs, nuts by hand', {
    people,
    makes: ['once-only'],
    words: 'The gasket lies the way up that is marked on it.',
    putsIn: [{ name: 'guide studs', inside: false }],
  }),
  main('aid-out', 'guide-studs', 'Guide studs out, counted', { takesOut: ['guide studs'] }),
  main('joint', 'head-tight', 'Cylinder head tight', {
    purpose: 'final',
    meets: ['cylinder head', 'head nut', 'head bolt', 'heads'],
  }),
];

/** A camshaft in the block, driven by wheels or a chain, and timed by its marks. */
export const camInBlock = (after: string): readonly Draft[] => [
  main('part', 'tappets', 'Followers in, each in its own bore', {
    after: [after],
    notUntil: ['cam-in'],
    surfaces: [['assembly paste', 'foot of the follower']],
    words: 'Where they go in from below, they go in before the camshaft.',
  }),
  main('part', 'cam-in', 'Camshaft in, lobes oiled', {
    after: ['tappets'],
    surfaces: [
      ['assembly paste', 'lobes'],
      ['engine oil', 'journals'],
    ],
    caution: 'Lobes nick soft bearings: guided in, not pushed.',
  }),
  main('fit', 'cam-float', 'Camshaft: end float', { meets: ['camshaft end float', 'cam'] }),
  main('timing', 'timed', 'Timed by the marks on the wheels; marks seen again after a turn', {
    kit: ['degree disc', 'pointer'],
  }),
  main('joint', 'cam-wheel', 'Camshaft wheel tight and locked', {
    purpose: 'final',
    makes: ['crank-free'],
    meets: ['camshaft wheel', 'cam wheel', 'cam sprocket', 'timing wheel'],
  }),
  main('joint', 'timing-cover', 'Timing cover on, centred on its new seal, tight', {
    surfaces: [['engine oil', 'lip of the seal']],
    caution: 'A lip is never run dry.',
    purpose: 'final',
    meets: ['timing cover', 'front cover', 'timing case'],
  }),
];
