import type { Shelves } from '@/model/shelf/shelves';
import type { Joint } from '@/model/joint/joint';
import type { JointDetail } from '@/model/joint/joint-detail';
import { stagesText } from '@/model/heat/retorque-rule';
import { sayBy, type Say } from '@/model/stale';
import type { Choice } from '@/interface/words/choices';
import { KIND_TURN_CHOICES, kindSequenceText } from '@/interface/words/kind-words';
import { CARE_CHOICES, CLASSES, PATTERNS, RANGES, RETORQUES, TURNS, WORK_UNITS } from './joint-words';

/** What of a joint can be changed on its sheet. */
type Told = Exclude<keyof Joint, 'id' | 'engineId' | 'version' | 'createdAt' | 'detail'> | keyof JointDetail;

/** What the parts of a joint are called, as its sheet calls them. */
const NAMES: Readonly<Record<Told, string>> = {
  name: 'Name',
  pattern: 'Pattern',
  fasteners: 'Fasteners',
  thread: 'Thread',
  originalFilm: 'Lubricant the book has in mind',
  todayFilm: 'Lubricant today',
  rangeSchool: 'A range becomes',
  stageScheme: 'Stages',
  orderSchool: 'Order',
  unitOfWork: 'Unit of work',
  turnShaft: 'Turn the crank between',
  wrenchId: 'Wrench',
  retorqueSchool: 'Retorque',
  bearingOuter_mm: 'Outside of the face, mm',
  bearingInner_mm: 'Hole of the face, mm',
  bearingMeasured: 'Face measured',
  leafId: 'Printed figure',
  original: 'The original fastener',
  today: 'The fastener today',
  headFilm: 'Lubricant under the head',
  parent: 'Where it sits',
  maker: 'The maker’s own figure',
  adaptor: 'Adaptor',
  overrides: 'Overruled steps',
  wrenchByHand: 'Wrench taken by hand',
  jointClass: 'Class',
  care: 'Care',
  places: 'Where each lies',
  turn: 'The book’s own order',
  placeNotes: 'What is special about places',
  holes: 'The holes, looked at',
  kinds: 'Fasteners of other kinds',
  firstCap: 'The cap that goes first',
  kindTurn: 'How the kinds come up together',
  kindSequence: 'The order of the kinds',
  clampMap: 'What its clamp map is reckoned with',
  confirming: 'A confirming round',
  alsoLeaves: 'Other entries that speak of it',
  originalFilmReason: 'Why that lubricant',
  leafReason: 'Why that entry',
  overLeafId: 'Over which entry',
  heatCycle: 'What counts as a heat cycle',
  cold: 'When its head counts as cold',
  warm: 'A warm retorque',
  again: 'When it is gone over again',
  gasketSays: 'What the gasket says of it',
  retorqueSource: 'Who says so',
  follows: 'What follows it',
  slackenBy_deg: 'How far it is slackened first',
  newAfter: 'Since when its fasteners are new',
  changeMeans: 'What the change means',
  leftUnknown: 'What is left unknown',
  slope: 'Its own torque against angle',
  standard: 'The standard figure',
};

const CHOICES: Readonly<Record<string, readonly Choice<string>[]>> = {
  pattern: PATTERNS,
  rangeSchool: RANGES,
  orderSchool: TURNS,
  unitOfWork: WORK_UNITS,
  retorqueSchool: RETORQUES,
  jointClass: CLASSES,
  care: CARE_CHOICES,
  kindTurn: KIND_TURN_CHOICES,
};

/** `Outer bolts: 3 × M10, Engine oil`; `all alike` where there are none. */
const kindsWords = (
  kinds: JointDetail['kinds'],
  named: readonly { readonly id: string; readonly name: string }[],
): string =>
  kinds
    .map(({ name, places, fields, detail }) => {
      const film = named.find(({ id }) => id === fields.todayFilm)?.name ?? fields.todayFilm;
      return `${name}: ${places.length} × ${detail.today?.thread ?? fields.thread}, ${film}`;
    })
    .join('; ') || 'all alike';

/**
 * Tells a part of a joint in the words of its sheet: films and wrenches by their names, choices as they are offered.
 */
export function sayJoint({ films, wrenches }: Pick<Shelves, 'films' | 'wrenches'>): Say {
  const plainly = sayBy(NAMES);
  const named = [...films, ...wrenches];
  return (field, value) => {
    const said = plainly(field, value);
    if (field === 'kinds') return { ...said, value: kindsWords(value as JointDetail['kinds'], named) };
    if (field === 'kindSequence') return { ...said, value: kindSequenceText(value as readonly number[]) || 'none' };
    if (field === 'again')
      return { ...said, value: stagesText(value as JointDetail['again']) || 'after the first heat' };
    const chosen = CHOICES[field]?.find((choice) => choice.value === value)?.label;
    return { ...said, value: chosen ?? named.find(({ id }) => id === value)?.name ?? said.value };
  };
}
