/** What is read at one place of a fit. */
export const PARTS = [
  'journal',
  'bore',
  'strip',
  'push',
  'pull',
  'zero',
  'goes',
  'stops',
  'length',
  'high',
  'low',
] as const;
export type Part = (typeof PARTS)[number];

/** What must hold while a reading is taken, and is kept with it. */
export const CONDITIONS = {
  'cap-final': 'the cap is at its final figure',
  'final-bolts': 'the bolts are of the final kind',
  dry: 'clean and dry, no oil',
  'shaft-still': 'the shaft was not turned',
  'seal-out': 'no seal is fitted yet',
  'cover-tight': 'the cover that sets it is tight',
  squared: 'the ring is squared in its own bore',
  'valve-shut': 'the cam is on the back of its lobe, the valve shut',
  'warm-as-page': 'the engine is as cold or as hot as the page says',
  'head-final': 'the head is at its final figure',
} as const;
export type ConditionId = keyof typeof CONDITIONS;

/** What may be said of a condition. */
export const ANSWERS = ['yes', 'no'] as const;
export type Answer = (typeof ANSWERS)[number];
export type Answers = Readonly<Partial<Record<ConditionId, Answer>>>;

/** Something that happened later and takes earlier readings with it. */
export interface Change {
  readonly name: string;
  /** Readings taken under these conditions are void. */
  readonly voids: readonly ConditionId[];
  /** Readings of these parts are void, whatever their conditions. */
  readonly parts: readonly Part[];
}

const FLOAT: readonly Part[] = ['push', 'pull', 'zero', 'goes', 'stops'];

export const CHANGES = {
  'cap-loosened': { name: 'a cap was loosened', voids: ['cap-final'], parts: [] },
  'bolts-changed': { name: 'the bolts were changed', voids: ['final-bolts'], parts: [] },
  'bore-cut': { name: 'the bore was cut', voids: [], parts: ['bore', 'strip', 'length'] },
  'journal-cut': { name: 'the journal was ground or polished', voids: [], parts: ['journal', 'strip'] },
  'shell-changed': { name: 'a shell was changed', voids: [], parts: ['bore', 'strip'] },
  'shaft-turned': { name: 'the shaft was turned on the strip', voids: ['shaft-still'], parts: [] },
  'seal-fitted': { name: 'a seal was fitted', voids: ['seal-out'], parts: [] },
  'cover-off': { name: 'the cover was taken off', voids: ['cover-tight'], parts: [] },
  'head-gone-over': { name: 'the head was gone over again', voids: ['head-final'], parts: [] },
  'part-changed': { name: 'a part was changed', voids: [], parts: PARTS },
} as const satisfies Record<string, Change>;
export type ChangeId = keyof typeof CHANGES;

/** What is done about a fit that is out, and which readings it reopens. */
export interface Remedy {
  readonly name: string;
  readonly reopens: readonly Part[];
}

export const REMEDIES = {
  polish: { name: 'Polish the journal', reopens: ['journal', 'strip'] },
  'next-shell': { name: 'The next shell', reopens: ['bore', 'strip'] },
  shim: { name: 'Another shim', reopens: [...FLOAT, 'length'] },
  file: { name: 'File the ring', reopens: ['length'] },
  'machine-journal': { name: 'Grind the journal', reopens: ['journal', 'strip'] },
  'machine-bore': { name: 'Machine the bore', reopens: ['bore', 'strip'] },
  machine: { name: 'Machine it', reopens: ['length', ...FLOAT, 'high', 'low'] },
  'deepen-hole': { name: 'Deepen the hole', reopens: ['bore'] },
  'shorten-stud': { name: 'Shorten the stud', reopens: ['journal'] },
  adjust: { name: 'Set it again', reopens: ['goes', 'stops'] },
  straighten: { name: 'Straighten it', reopens: ['high', 'low'] },
  replace: { name: 'Another part', reopens: PARTS },
} as const satisfies Record<string, Remedy>;
export type RemedyId = keyof typeof REMEDIES;

/** Whether a change takes a reading of this part, taken under these conditions, with it. */
export function isVoidedBy(change: ChangeId, part: Part, conditions: readonly ConditionId[]): boolean {
  const { voids, parts }: Change = CHANGES[change];
  return parts.includes(part) || voids.some((condition) => conditions.includes(condition));
}

/** Why readings do not count under their conditions; undefined where every one is said to hold. */
export function unmetCondition(conditions: readonly ConditionId[], answers: Answers): string | undefined {
  const broken = conditions.find((condition) => answers[condition] === 'no');
  if (broken) return `Read although it does not hold that ${CONDITIONS[broken]}.`;
  const unsaid = conditions.find((condition) => answers[condition] === undefined);
  return unsaid && `Not said whether ${CONDITIONS[unsaid]}.`;
}
