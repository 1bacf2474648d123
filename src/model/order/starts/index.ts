import { dressAndStart, pistonsAndRods, pumpSumpFlywheel, shaftInBlock } from './bottom-end';
import { inOrder, main, stepsOf, type Draft, type StartStep } from './start-step';
import { camInBlock, headMadeUp, headOn } from './top-end';

export type { StartStep } from './start-step';

const crank = stepsOf('Crank assembly');
const left = stepsOf('Left case');
const right = stepsOf('Right case');

const sideValveFour: readonly Draft[] = [
  ...shaftInBlock(),
  ...pistonsAndRods(),
  ...camInBlock('rods-free'),
  main('fit', 'sv-guides', 'Valves in their guides', { meets: ['guide'] }),
  main('other', 'sv-lapped', 'Valves seated in the block', { makes: ['swarf'], notUntil: ['sv-valves'] }),
  main('clean', 'sv-lap-clean', 'Lapping paste washed out of ports, guides and chests'),
  main('part', 'sv-valves', 'Valves, springs and cotters in', {
    caution: 'Stop the oil holes: a cotter falls into the sump.',
    putsIn: [{ name: 'rags in the oil holes', inside: true }],
  }),
  main('aid-out', 'sv-rags', 'Rags out of the oil holes, counted', { takesOut: ['rags in the oil holes'] }),
  main('fit', 'sv-lash', 'Valve clearances, cold', { meets: ['valve clearance', 'tappet clearance'] }),
  ...pumpSumpFlywheel('sv-lash'),
  ...headOn(['flywheel']).map((one) => (one.key === 'head-tight' ? { ...one, makes: ['closes'] as const } : one)),
  ...dressAndStart(['head-tight']),
];

const overheadValve: readonly Draft[] = [
  ...shaftInBlock(),
  ...pistonsAndRods(),
  ...camInBlock('rods-free'),
  ...headMadeUp(),
  ...headOn(['timing-cover', 'springs']),
  main('part', 'pushrods', 'Push rods in, each in its own place, seated below'),
  main('joint', 'rockers', 'Rocker shaft down evenly and tight', {
    purpose: 'final',
    meets: ['rocker'],
    caution: 'Down a little at a time: springs bear on it on one side.',
  }),
  main('fit', 'lash', 'Valve clearances, cold', { meets: ['valve clearance'] }),
  ...pumpSumpFlywheel('lash'),
  main('joint', 'rocker-cover', 'Rocker cover on', { purpose: 'final', meets: ['rocker cover'], makes: ['closes'] }),
  ...dressAndStart(['rocker-cover']),
];

/** A crank of two wheels on a pin, pressed or drawn together by nuts, trued between centres. */
const builtUpCrank = (): readonly Draft[] => [
  crank('clean', 'wheels-clean', 'Wheels, pin and rod clean, oilway through the pin blown out'),
  crank('fit', 'big-end-play', 'Big end: play', { meets: ['big end'] }),
  crank('part', 'wheels-together', 'Wheels and rod together', { surfaces: [['engine oil', 'rollers and cage']] }),
  crank('fit', 'side', 'Big end: side clearance', { meets: ['side clearance'] }),
  crank('fit', 'true', 'Crank true between centres', { meets: ['runout'] }),
];

/** Two halves of a case closed round the crank. */
const splitCase = (inCase: readonly string[]): readonly Draft[] => [
  left('clean', 'left-clean', 'Left case: faces and oilways clean'),
  left('part', 'left-bearing', 'Left bearing in, case warmed', {
    kit: ['heat without a flame', 'gloves'],
    by: ['handling'],
  }),
  right('clean', 'right-clean', 'Right case: faces and oilways clean'),
  right('part', 'right-bearing', 'Right bearing in, case warmed', { by: ['handling'] }),
  main('part', 'crank-in', 'Crank into the left case', { after: ['left-bearing', 'right-bearing', ...inCase] }),
  main('fit', 'crank-float', 'Crank: end float, by its shims', { meets: ['crankshaft end float', 'end float'] }),
  main('surface', 'joint-face', 'Joint face coated', {
    surfaces: [['sealant', 'one face only', 'a thin film', 'close while it is wet']],
    makes: ['sealant'],
  }),
  main('part', 'case-closed', 'Right case on, dowels home, nothing pinched'),
  main('joint', 'case-tight', 'Crankcase tight', { purpose: 'final', meets: ['crankcase', 'case bolt', 'case screw'] }),
  main('freedom', 'case-free', 'Crank turns by hand in the closed case', { makes: ['turns-crank'] }),
];

const pistonAndBarrel = (after: string, name = 'Barrel'): readonly Draft[] => [
  main('other', 'mouth-covered', 'Mouth of the case stopped with a clean cloth', {
    after: [after],
    putsIn: [{ name: 'cloth in the case mouth', inside: true }],
  }),
  main('fit', 'gap', 'Ring gaps in their own bore', { meets: ['ring gap'] }),
  main('fit', 'piston-fit', 'Piston to bore', { meets: ['piston'] }),
  main('part', 'piston-on', 'Piston on its pin, arrow as it was, new circlips', {
    makes: ['once-only'],
    caution: 'A circlip that jumps goes into the case: the cloth stays in.',
  }),
  main('aid-out', 'cloth-out', 'Cloth out of the case mouth', { takesOut: ['cloth in the case mouth'] }),
  main('part', 'base-gasket', 'Base gasket on', { makes: ['once-only'], notUntil: ['barrel-on'] }),
  main('part', 'barrel-on', `${name} down over the rings`, { people: 2, surfaces: [['engine oil', 'bore and skirt']] }),
];

const overheadCamSingle: readonly Draft[] = [
  ...builtUpCrank(),
  ...splitCase(['true']),
  ...pistonAndBarrel('case-free'),
  ...headMadeUp(),
  ...headOn(['barrel-on', 'springs'], 1),
  main('fit', 'cam-float', 'Camshaft: end float, by its shims', { meets: ['camshaft end float', 'cam'] }),
  main('timing', 'timed', 'Camshaft timed by the marks, or by degrees on a disc', { kit: ['degree disc', 'pointer'] }),
  main('joint', 'cam-wheel', 'Camshaft wheel tight and locked', {
    purpose: 'final',
    makes: ['crank-free'],
    meets: ['cam wheel', 'cam sprocket'],
  }),
  main('fit', 'lash', 'Valve clearances, cold', { meets: ['valve clearance'] }),
  main('joint', 'cover', 'Timing cover on and tight', {
    purpose: 'final',
    meets: ['timing cover', 'cover'],
    makes: ['closes'],
  }),
  ...dressAndStart(['cover']),
];

const uprightTwin: readonly Draft[] = [
  ...builtUpCrank(),
  ...splitCase(['true']),
  main('part', 'cams', 'Camshafts and breather in', { after: ['case-free'] }),
  main('timing', 'timed', 'Timing wheels on by their marks', { kit: ['degree disc', 'pointer'] }),
  main('joint', 'timing-nuts', 'Timing wheel nuts tight', {
    purpose: 'final',
    makes: ['crank-free'],
    meets: ['timing wheel', 'pinion', 'cam wheel'],
  }),
  main('joint', 'timing-cover', 'Timing cover on', { purpose: 'final', meets: ['timing cover'] }),
  ...pistonAndBarrel('timing-cover', 'Block of barrels'),
  main('joint', 'barrel-tight', 'Barrel base nuts tight', {
    purpose: 'final',
    meets: ['barrel', 'cylinder base', 'base nut'],
  }),
  ...headMadeUp(),
  ...headOn(['barrel-tight', 'springs'], 1),
  main('part', 'pushrods', 'Push rods in their tubes, seated'),
  main('joint', 'rockers', 'Rocker boxes tight', { purpose: 'final', meets: ['rocker'] }),
  main('fit', 'lash', 'Valve clearances, cold', { meets: ['valve clearance'] }),
  main('joint', 'caps', 'Rocker caps on', {
    purpose: 'final',
    meets: ['rocker cap', 'rocker cover'],
    makes: ['closes'],
  }),
  ...dressAndStart(['caps']),
];

const flatFour: readonly Draft[] = [
  crank('clean', 'shaft-clean', 'Crankshaft oilways clean'),
  crank('fit', 'rods-play', 'Big ends: oil clearance', { meets: ['big end'] }),
  crank('joint', 'rods', 'Rods on the shaft, bolts tight', { purpose: 'final', meets: ['rod bolt', 'big end'] }),
  crank('part', 'wheels', 'Timing and distributor wheels on, case warm'),
  left('clean', 'left-clean', 'Left case: oilways and faces clean'),
  left('part', 'left-shells', 'Left shells and followers in'),
  right('clean', 'right-clean', 'Right case: oilways and faces clean'),
  right('part', 'right-shells', 'Right shells and followers in, held from falling', {
    putsIn: [{ name: 'clips holding the followers', inside: true }],
  }),
  main('part', 'shaft-in', 'Crank and camshaft into the left case, marks together', {
    after: ['wheels', 'left-shells'],
  }),
  main('timing', 'timed', 'Wheels by their marks, seen by a second pair of eyes'),
  main('part', 'cam-plug', 'Camshaft plug in', { surfaces: [['sealant', 'rim']], makes: ['sealant'] }),
  main('surface', 'joint-face', 'Joint face coated', {
    after: ['cam-plug', 'right-shells'],
    surfaces: [['sealant', 'one face only', 'a thin film', 'close while it is wet']],
    makes: ['sealant'],
  }),
  main('part', 'case-closed', 'Right case on', { people: 2, makes: ['crank-free'] }),
  main('aid-out', 'clips-out', 'Follower clips out, counted', { takesOut: ['clips holding the followers'] }),
  main('joint', 'case-tight', 'Case studs tight, the large ones first', {
    purpose: 'final',
    meets: ['crankcase', 'case'],
  }),
  main('freedom', 'case-free', 'Crank turns by hand in the closed case', { makes: ['turns-crank'] }),
  main('fit', 'end-float', 'Crankshaft: end float, by its shims', { meets: ['end float'] }),
  main('joint', 'flywheel', 'Flywheel tight', { purpose: 'final', meets: ['flywheel'], people: 2 }),
  ...pistonAndBarrel('flywheel', 'Cylinders, each to its own piston,'),
  ...headMadeUp(),
  ...headOn(['barrel-on', 'springs'], 1),
  main('part', 'pushrods', 'Push rod tubes and rods in', { makes: ['once-only'] }),
  main('joint', 'rockers', 'Rocker shafts tight', { purpose: 'final', meets: ['rocker'] }),
  main('fit', 'lash', 'Valve clearances, cold', { meets: ['valve clearance'] }),
  main('joint', 'covers', 'Rocker covers on', { purpose: 'final', meets: ['rocker cover'], makes: ['closes'] }),
  ...dressAndStart(['covers']),
];

const twoStrokeTwin: readonly Draft[] = [
  ...builtUpCrank(),
  crank('other', 'middle-seal', 'Middle seal between the cases sound', { caution: 'A lip is never run dry.' }),
  ...splitCase(['middle-seal']),
  main('part', 'outer-seals', 'Outer crank seals in, lips oiled', {
    makes: ['once-only'],
    surfaces: [['engine oil', 'lip of the seal']],
    by: ['sealSeats'],
  }),
  main('other', 'tight-case', 'Case holds pressure: tried before it is built over', {
    kit: ['stoppers', 'hand pump'],
    caution: 'A little air is enough; a stopper that flies hurts.',
  }),
  ...pistonAndBarrel('tight-case', 'Cylinders'),
  main('joint', 'barrel-tight', 'Cylinder base nuts tight', { purpose: 'final', meets: ['cylinder base', 'barrel'] }),
  main('freedom', 'barrel-free', 'Crank turns by hand, no ring caught in a port', { makes: ['turns-crank'] }),
  ...headMadeUp(false),
  ...headOn(['barrel-free', 'head-clean'], 1),
  main('timing', 'ignition', 'Ignition timed by the piston’s drop', { kit: ['dial gauge in the plug hole'] }),
  main('joint', 'rotor', 'Rotor or flywheel nut tight', {
    purpose: 'final',
    meets: ['flywheel', 'rotor'],
    makes: ['closes', 'crank-free'],
  }),
  ...dressAndStart(['rotor']),
];

const veeTwoHeads: readonly Draft[] = [
  ...shaftInBlock(),
  ...pistonsAndRods(),
  ...camInBlock('rods-free'),
  ...headMadeUp(),
  ...headOn(['timing-cover', 'springs']).map((one) =>
    one.key === 'head-tight' ? { ...one, name: 'Heads tight, both banks' } : one,
  ),
  main('part', 'pushrods', 'Push rods in, each in its own place'),
  main('joint', 'rockers', 'Rocker shafts tight, both banks', { purpose: 'final', meets: ['rocker'] }),
  main('joint', 'inlet', 'Inlet manifold and valley cover tried dry, then sealed and tight', {
    words: 'Its faces follow both heads.',
    purpose: 'final',
    meets: ['inlet', 'manifold'],
    makes: ['sealant'],
  }),
  main('fit', 'lash', 'Valve clearances, cold', { meets: ['valve clearance'] }),
  ...pumpSumpFlywheel('lash'),
  main('joint', 'rocker-cover', 'Rocker covers on', { purpose: 'final', meets: ['rocker cover'], makes: ['closes'] }),
  ...dressAndStart(['rocker-cover'])
    .filter(({ key }) => key !== 'manifold')
    .map((one) => (one.key === 'primed' ? { ...one, after: ['rocker-cover'] } : one)),
];

/** Lines to start from, by shape of engine; written from general engineering knowledge, to be made one's own. */
export const STARTS = {
  'side-valve-four': { name: 'Side-valve four', steps: inOrder(sideValveFour) },
  'overhead-valve': { name: 'Overhead-valve four or six', steps: inOrder(overheadValve) },
  'overhead-cam-single': { name: 'Overhead-camshaft single', steps: inOrder(overheadCamSingle) },
  'upright-twin': { name: 'Upright twin, case split down the middle', steps: inOrder(uprightTwin) },
  'flat-four': { name: 'Flat four in a split case', steps: inOrder(flatFour) },
  'two-stroke-twin': { name: 'Two-stroke twin, pressed-up crank', steps: inOrder(twoStrokeTwin) },
  'vee-two-heads': { name: 'Vee engine with two heads', steps: inOrder(veeTwoHeads) },
} as const satisfies Readonly<Record<string, { readonly name: string; readonly steps: readonly StartStep[] }>>;

export const START_IDS = Object.keys(STARTS) as readonly StartId[];
export type StartId = keyof typeof STARTS;
