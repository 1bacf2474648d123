import { main, stepsOf, type Draft } from './start-step';

const rods = stepsOf('Pistons and rods');

const OILED = [['engine oil', 'journals and shells', 'a film all round']] as const;

/** A block with its caps off, until the crank turns in it. */
export const shaftInBlock = (): readonly Draft[] => [
  main('clean', 'clean-block', 'Block: oilways brushed and blown through, threads run clean, blind holes dry', {
    kit: ['bottle brushes', 'chasers for the threads', 'eye protection'],
  }),
  main('part', 'upper-shells', 'Upper main shells in, tangs in their slots', {
    caution: 'Dirt behind a shell is a tight bearing.',
    by: ['shellBacks', 'handling'],
  }),
  main('part', 'rear-seal', 'Rear seal or packing in the block', {
    surfaces: [['engine oil', 'lip of the seal']],
    caution: 'A lip is never run dry.',
    makes: ['once-only'],
    by: ['sealSeats'],
  }),
  main('part', 'shaft-in', 'Crankshaft laid in', { people: 2, surfaces: OILED, makes: ['crank-free'] }),
  main('part', 'main-caps', 'Main caps on by their numbers and the same way round, nuts by hand'),
  main('fit', 'mains-play', 'Main bearings: oil clearance', { meets: ['main bearing', 'mains'] }),
  main('joint', 'mains', 'Main bearing caps tight', { purpose: 'final', meets: ['main bearing', 'main cap', 'mains'] }),
  main('fit', 'end-float', 'Crankshaft: end float', { meets: ['crankshaft end float', 'end float'] }),
  main('freedom', 'shaft-free', 'Crank turns by hand after the mains', {
    makes: ['turns-crank'],
    words: 'Both ways, a whole turn each; no place tighter than another.',
  }),
];

/** Pistons and rods made up beside the block, then into it from above. */
export const pistonsAndRods = (top: readonly string[] = ['shaft-free']): readonly Draft[] => [
  rods('part', 'pins', 'Pistons on their own rods, front mark to the front', {
    words: 'Rods and caps laid out by their numbers first.',
    caution: 'Circlips spring: cover them while they go in.',
    makes: ['once-only'],
  }),
  rods('fit', 'ring-gaps', 'Ring gaps, each ring in its own bore', { meets: ['ring gap'] }),
  rods('fit', 'piston-play', 'Pistons to bores', { meets: ['piston to bore', 'piston'] }),
  rods('part', 'rings-on', 'Rings on, gaps spread', { caution: 'Ring ends cut; a ring twisted on is bent.' }),
  main('part', 'pistons-in', 'Pistons in from above, rod bolts covered', {
    after: ['rings-on', ...top],
    putsIn: [{ name: 'covers on the rod bolts', inside: true }],
    surfaces: [['engine oil', 'bores, rings and skirts']],
    kit: ['ring clamp', 'wooden handle'],
    people: 2,
    caution: 'A bare rod bolt scores a journal: covers on before the rod goes down.',
  }),
  main('aid-out', 'bolt-covers', 'Covers off the rod bolts, counted', { takesOut: ['covers on the rod bolts'] }),
  main('part', 'rod-caps', 'Rod caps on by their numbers, nuts by hand', {
    surfaces: OILED,
    by: ['shellBacks'],
  }),
  main('fit', 'rods-play', 'Big ends: oil clearance', { meets: ['big end', 'rod bearing'] }),
  main('joint', 'rods', 'Rod bolts tight', { purpose: 'final', meets: ['rod bolt', 'big end', 'rod cap', 'rods'] }),
  main('fit', 'rods-side', 'Big ends: side clearance', { meets: ['side clearance'] }),
  main('freedom', 'rods-free', 'Crank turns by hand after each rod', { makes: ['turns-crank'] }),
];

/** What shuts the bottom: pump, sump, and the flywheel behind. */
export const pumpSumpFlywheel = (after: string): readonly Draft[] => [
  main('joint', 'pump-tight', 'Oil pump filled, in, tight and locked', {
    after: [after],
    purpose: 'final',
    meets: ['oil pump'],
    surfaces: [['engine oil', 'inside the pump', 'full']],
  }),
  main('other', 'look-below', 'Look once round below: tabs bent, wires in, nothing left in', {
    kit: ['lamp', 'mirror'],
  }),
  main('joint', 'sump', 'Sump on and tight', {
    purpose: 'final',
    meets: ['sump', 'oil pan'],
    surfaces: [['sealant where gaskets meet', 'corners', 'a smear', 'fit while it is wet']],
    makes: ['sealant'],
  }),
  main('joint', 'flywheel', 'Flywheel on by its mark, tight', {
    purpose: 'final',
    meets: ['flywheel'],
    people: 2,
  }),
];

/** Dressed, started, and gone over. */
export const dressAndStart = (after: readonly string[]): readonly Draft[] => [
  main('joint', 'manifold', 'Manifolds, dynamo and pipes on, manifold nuts tight', {
    after,
    purpose: 'final',
    meets: ['manifold'],
  }),
  main('other', 'primed', 'Oil in, its amount written down; pressure raised without firing', {
    words: 'Plugs out; primed again if the engine stands for months before it is started.',
    makes: ['turns-crank'],
  }),
  main('other', 'started', 'First start', {
    makes: ['starts'],
    kit: ['fire extinguisher', 'a second person at the tap'],
    people: 2,
  }),
];
