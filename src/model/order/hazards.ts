import type { Step } from './step';

export const HAZARD_IDS = [
  'air',
  'blind-hole',
  'solvent',
  'hot-metal',
  'asbestos',
  'springs',
  'blade',
  'heavy',
  'from-below',
  'stand',
  'coolant',
  'fuel',
  'old-paint',
  'magnesium',
  'residue',
  'start',
  'road',
] as const;
export type HazardId = (typeof HAZARD_IDS)[number];

type Told = Pick<Step, 'kind' | 'name' | 'detail'>;

interface Hazard {
  /** What can hurt there, and what is done about it, in plain words. */
  readonly says: string;
  /** Whether it is met at a step, by its kind and by what it is called and said of it, in lower case. */
  readonly isAt: (step: Told, said: string) => boolean;
  /** What a step’s own caution says where it says as much already. */
  readonly saidBy: RegExp;
}

const words =
  (pattern: RegExp) =>
  (_: Told, said: string): boolean =>
    pattern.test(said);
const isCleaning = ({ kind }: Told) => kind === 'clean';
const isMovedByHand = ({ kind, detail }: Told) =>
  kind === 'freedom' || kind === 'timing' || detail.makes.includes('turns-crank');

const FACES = /\bfaces?\b|gasket/;
const THREADS = /\bblind\b|threads?\b|tapped|(?:bolt|stud) holes?\b/;

/** What hurts people at a build, each where it happens: whoever wrote the step need not have thought of it. */
export const HAZARDS: Readonly<Record<HazardId, Hazard>> = {
  air: {
    says: 'Compressed air drives grit into eyes and oil through skin: glasses on, and never towards anybody.',
    isAt: words(/\bblow|\bblown\b|compressed air|air ?line|air gun/),
    saidBy: /compressed air/i,
  },
  'blind-hole': {
    says: 'Oil or water under a bolt in a blind hole spits, and can crack the casting: each hole dry to its bottom.',
    isAt: ({ kind }, said) =>
      (kind === 'clean' && (THREADS.test(said) || /\bbores?\b|\bfaces?\b/.test(said))) ||
      /\bblind holes?\b|\bheads? (?:down|on)\b|main (?:bearing )?caps? on\b/.test(said),
    saidBy: /blind hole/i,
  },
  solvent: {
    says:
      'Solvent: away from flame and hot metal, and none with chlorine ' +
      'in it near either; gloves, and air to breathe.',
    isAt: (step, said) => isCleaning(step) || /solvent|degreas|\bwash|paraffin|thinner/.test(said),
    saidBy: /solvent/i,
  },
  'hot-metal': {
    says: 'Hot metal: gloves on. No flame on a bearing, and none near fuel or solvent.',
    isAt: words(/\b(?:warm(?:ed|ing)?|heat(?:ed|ing)?(?! (?:cycle|away))|oven|hot ?plate|shrink|shrunk|flame|torch)\b/),
    saidBy: /hot metal/i,
  },
  asbestos: {
    says:
      'Period gaskets, clutch and brake linings may hold asbestos: not scraped dry, not blown ' +
      'off. Have it tested, and taken off by the rules of the place.',
    isAt: (step, said) =>
      /clutch|\bbrake|\blinings?\b|lagging|old gasket|scrap(?:e|ed|ing)\b/.test(said) ||
      (isCleaning(step) && FACES.test(said)),
    saidBy: /asbestos/i,
  },
  springs: {
    says: 'Springs and circlips fly: glasses on, a hand or a cloth over them, and nobody in their line.',
    isAt: words(/springs?\b|collets?\b|cotters?\b|circlips?\b|snap rings?\b/),
    saidBy: /glasses|\beyes?\b/i,
  },
  blade: {
    says: 'A blade goes away from the hand that holds the work.',
    isAt: words(/scrap(?:e|ed|er|ing)\b|\bblades?\b|\bkni(?:fe|ves)\b|\btrim(?:med)?\b|cut (?:off|flush|to)\b/),
    saidBy: /blade/i,
  },
  heavy: {
    says: 'Heavy: not lifted alone, and nobody and nothing under what hangs on a hoist alone.',
    isAt: words(
      new RegExp(
        '\\b(?:heads? (?:down|on|off)|block (?:in|on|out)|crankshaft (?:laid )?in|engine (?:in|out|off|back))\\b|' +
          'flywheel|gear ?box|cylinder block|hoist|\\blift',
      ),
    ),
    saidBy: /\bheavy\b/i,
  },
  'from-below': {
    says: 'Put up from below: two bolts started before it is let go of.',
    isAt: ({ name }) =>
      /overhead|from below|from beneath|underneath|upwards/i.test(name) && !/overhead[- ](?:cam|valve)/i.test(name),
    saidBy: /two (?:\w+ )?bolts/i,
  },
  stand: {
    says: 'The stand is locked before the engine is turned in it or a bar goes on, and before a hand goes under.',
    isAt: (step, said) =>
      isMovedByHand(step) || /turn(?:ed)? over\b|upside down|\bon (?:its|the) stand\b|inverted/.test(said),
    saidBy: /stand (?:is )?locked|lock the stand/i,
  },
  coolant: {
    says: 'Hot coolant under a cap scalds: it is opened cold.',
    isAt: words(/coolant|radiator|thermostat|cooling system|\bwater (?:in|out|drained|filled)\b/),
    saidBy: /coolant/i,
  },
  fuel: {
    says:
      'Fuel: no flame, no spark, doors open. Old fuel may hold lead: ' +
      'off the skin, and away as such waste is taken.',
    isAt: words(/\bfuel|petrol|carburett?[eo]r|\bfloat bowl\b/),
    saidBy: /fuel/i,
  },
  'old-paint': {
    says: 'Old paint may hold lead: not sanded dry, not burned off; flakes are taken up wet.',
    isAt: words(/\bpaint|lacquer|enamel/),
    saidBy: /paint/i,
  },
  magnesium: {
    says:
      'Where the casting is magnesium its swarf burns: kept dry and ' +
      'apart, dry sand at hand, and never water on it.',
    isAt: words(
      /magnesium|\bdrill|\bream|\bhon(?:ed|ing)\b|\bmilled\b|tapped (?:out|for)|thread inserts?\b|spot[- ]?faced/,
    ),
    saidBy: /magnesium/i,
  },
  residue: {
    says: 'Rubber or PTFE that was overheated leaves an acid that goes through the skin: not touched bare-handed.',
    isAt: words(/\bburnt\b|overheated|scorched|charred|melted/),
    saidBy: /overheated|\bacid\b/i,
  },
  start: {
    says:
      'Fumes, belts, fan and hot coolant; fire is likeliest now. ' +
      'Outside, an extinguisher at hand, and never alone.',
    isAt: ({ detail }) => detail.makes.includes('starts'),
    saidBy: /\bfire\b/i,
  },
  road: {
    says:
      'First time on the road: brakes tried first, slowly, near home, and ' +
      'somebody knows where. Look for leaks before going on.',
    isAt: words(/\broad\b|(?:first|test) (?:ride|run|drive)\b/),
    saidBy: /\bbrakes\b/i,
  },
};

const textOf = ({ name, detail: { words: said, kit, surfaces } }: Told): string =>
  [name, said, ...kit, ...surfaces.map(({ what }) => what)].join('\n').toLowerCase();

/** What can hurt at a step and is not said by its own caution. */
export function hazardsOf(step: Told): readonly HazardId[] {
  const said = textOf(step);
  return HAZARD_IDS.filter((id) => HAZARDS[id].isAt(step, said) && !HAZARDS[id].saidBy.test(step.detail.caution));
}
