import type { Care } from '@/model/joint/care';
import { CLEARANCE_SCHOOLS } from './clearance-schools';
import type { HousePractice, PracticeRow } from './house-practice';
import { school, type School } from './school';

/** A question with its schools: only values that its row knows. */
export type Question = {
  readonly [Row in PracticeRow]: {
    readonly row: Row;
    readonly question: string;
    readonly schools: readonly School<HousePractice[Row]>[];
  };
}[PracticeRow];

const CARE_SCHOOLS: readonly School<Care>[] = [
  { value: 'wrench', name: 'always by wrench', reason: 'what is closed up cannot be felt again' },
  { value: 'importance', name: 'by importance', reason: 'a figure where it matters, a feeling hand where it does not' },
  {
    value: 'hand',
    name: 'by hand, recorded as by feel',
    reason: 'small threads in soft metal are felt before a wrench clicks',
  },
];

export const PRACTICE_QUESTIONS: readonly Question[] = [
  { row: 'range', question: 'A range becomes', schools: [
    school('low', 'its low end', 'kind to old threads and castings; the retorque makes up for it'),
    school('middle', 'its middle', 'leaves the same room on either side for lubricant and wrench'),
    school('top', 'its top', 'the joint settles downwards from there'),
    school('bottom-then-middle', 'bottom, turn the crank, then middle', 'shows a tight bearing before the full load is on'),
  ] },
  { row: 'unsaid', question: 'Thread condition unsaid in the book', schools: [
    school('light-oil', 'light oil', 'usual for period print: parts came oiled from the stores'),
    school('dry', 'dry', 'the cautious reading: oil today then asks for a lower figure'),
    school('show-both', 'show both and choose', 'the book does not say, so a person decides each time'),
  ] },
  { row: 'film', question: 'Lubricant used here', schools: [
    school('as-book', 'what the book has in mind', 'nothing to correct, nothing to get wrong'),
    school('engine-oil', 'engine oil', 'always at hand, moderate scatter'),
    school('moly-paste', 'molybdenum paste', 'little scatter; needs a lower figure'),
    school('thread-locker', 'thread locker', 'lubricates when wet and locks when set'),
    school('dry-bare', 'dry', 'nothing to run into a blind hole; wide scatter'),
  ] },
  { row: 'passes', question: 'Passes', schools: [
    school('halves', 'halves', 'enough for few fasteners on a stiff part'),
    school('thirds', 'thirds', 'the gasket is crushed level'),
    school('quarters', 'quarters', 'for long heads and soft gaskets'),
  ] },
  { row: 'confirming', question: 'A confirming round at the final figure', schools: [
    school('yes', 'yes', 'evens out what later nuts took from earlier ones more than any other turn does'),
    school('no', 'no', 'a nut that has settled does not move, and the pull says nothing'),
  ] },
  { row: 'unitOfWork', question: 'Unit of work', schools: [
    school('row', 'the whole row a pass', 'the part goes down level'),
    school('each', 'each cap or rod to final', 'its freedom is felt before the next is begun'),
  ] },
  { row: 'firstCap', question: 'Which main cap first', schools: [
    school('thrust', 'the thrust cap, with float read', 'it places the shaft'),
    school('middle', 'the middle, then outwards', 'the shaft beds from where it is stiffest'),
  ] },
  { row: 'track', question: 'Keeping track', schools: [
    school('witness-mark', 'a witness mark on each head', 'seen from across the shop, and later'),
    school('unbroken-rows', 'unbroken rows', 'nothing to wipe off; begun again where interrupted'),
  ] },
  { row: 'seating', question: 'Stud seating', schools: [
    school('finger-tight', 'finger-tight', 'the stud must not be wedged in its thread'),
    school('small-figure', 'a small figure', 'it does not turn with the nut'),
    school('with-compound', 'with compound', 'keeps water out of the stud hole'),
  ] },
  { row: 'retorque', question: 'Retightening', schools: [
    school('slacken', 'cold; slacken each a little, pull to figure, one at a time', 'breaks the stuck film, so that the figure means what it meant'),
    school('straight', 'cold; straight pull', 'the joint is never without its load'),
    school('warm', 'warm, where the book says so', 'the book knows its gasket'),
    school('none', 'none, where the gasket says so', 'the print on the gasket governs it'),
  ] },
  { row: 'heatCycle', question: 'A run counts as a heat cycle from', schools: [
    school('head-60', '60 °C at the head, 10 min, cooled to 40', 'an air-cooled head, or one read by a probe'),
    school('coolant-75', '75 °C in the coolant, 10 min, cooled to 40', 'the thermostat has opened, and the head has had its heat'),
    school('head-80', '80 °C at the head, 20 min, cooled to 30', 'the gasket has had time to give'),
  ] },
  { row: 'cold', question: 'A head counts as cold', schools: [
    school('metal', 'by its metal: aluminium within 5 K of the air, iron within 10', 'what is still warm costs an aluminium head two in a hundred of its clamp load'),
    school('air-5', 'within 5 K of the air, whatever its metal', 'head, block and studs are even'),
    school('hours-10', 'ten hours after it was stopped', 'left overnight nothing is uneven; a reading at the head still opens it'),
  ] },
  { row: 'settled', question: 'A joint has settled where no nut may have lost more, twice running, than', schools: [
    school('three-pct', '3 % of its clamp load', 'a wrench that reads angle can show it; an eye on a mark cannot'),
    school('five-pct', '5 %', 'what a mark read by eye can show over two cycles'),
    school('eight-pct', '8 %', 'a soft gasket that is gone over all the same'),
  ] },
  { row: 'locking', question: 'Locking', schools: [
    school('tab', 'tab washer', 'seen to be locked'),
    school('compound', 'compound', 'in the hole or on the bolt; lubricates when wet'),
    school('self-locking', 'self-locking nut', 'its own torque is added to the figure'),
    school('wire', 'wire', 'seen to be locked, and holds a sheared head'),
    school('two-together', 'two of these together', 'where a loose one is the end of the engine'),
  ] },
  { row: 'reuse', question: 'Reuse of nuts and bolts', schools: [
    school('new-always', 'new always', 'a stretched bolt does not say so'),
    school('if-good', 'if free length and thread are good', 'a measured old one beats an unknown new one'),
  ] },
  { row: 'window', question: 'Where a wrench is trusted', schools: [
    school('upper-two-thirds', 'the upper two thirds of its scale', 'its error is a share of full scale'),
    school('iso-20-100', '20 to 100 % of full scale', 'the range in which ISO 6789 has it checked'),
    school('whole', 'anywhere on it', 'it was checked at the figure used'),
  ] },
  { row: 'check', question: 'Wrench check', schools: [
    school('yearly', 'yearly', 'ISO 6789 asks for it, or after 5000 pulls, which are not counted here'),
    school('half-yearly', 'half-yearly', 'a fall is not always owned up to'),
    school('second-wrench', 'against a second wrench at the figure used', 'the figure that matters is the one that is checked'),
  ] },
  { row: 'careInside', question: 'Joints inside the engine', schools: CARE_SCHOOLS },
  { row: 'careOutside', question: 'Joints outside it', schools: CARE_SCHOOLS },
  { row: 'careTrim', question: 'Covers and small fittings', schools: CARE_SCHOOLS },
  { row: 'clearance', question: 'Clearance wanted', schools: CLEARANCE_SCHOOLS },
  { row: 'oilClearance', question: 'How oil clearance is measured', schools: [
    school('micrometers', 'micrometers', 'shows out-of-round and taper, and which part is at fault'),
    school('strip', 'crushed strip', 'reads the gap itself, with the cap as it will be'),
    school('both', 'both', 'one catches the other’s mistake; a difference is shown, not averaged'),
  ] },
  { row: 'endFloat', question: 'End float', schools: [
    school('dial', 'by dial', 'reads the whole float, and shows whether it repeats'),
    school('feelers', 'by feelers', 'no dial reaches everywhere; an interval, not a figure'),
    school('hand', 'by hand', 'recorded as felt, not measured'),
  ] },
  { row: 'shellBacks', question: 'Shell backs', schools: [
    school('dry', 'dry', 'metal to metal carries the heat away, and nothing holds the shell off its seat'),
    school('lightly-oiled', 'lightly oiled', 'slides into place; a film or dirt beneath it takes clearance, so read it again'),
  ] },
  { row: 'handling', question: 'Bearings are handled', schools: [
    school('gloves', 'with gloves', 'sweat stains a ground race, and a fingerprint rusts'),
    school('clean-hands', 'with clean hands', 'bare fingers feel the burr that a glove hides'),
  ] },
  { row: 'sealSeats', question: 'Seats of seals', schools: [
    school('compound', 'with compound', 'fills a scored seat, and comes out again'),
    school('cement', 'with cement', 'holds a seal that would turn in its seat'),
    school('dry', 'dry', 'a sound seat needs nothing, and nothing of it gets into the oil'),
  ] },
]; // prettier-ignore

/** The words of a school in force, with its reason. */
export function schoolWords(
  practice: HousePractice,
  row: PracticeRow,
): { readonly name: string; readonly reason: string } {
  const schools: readonly School[] = PRACTICE_QUESTIONS.find((question) => question.row === row)?.schools ?? [];
  const found = schools.find(({ value }) => value === practice[row]);
  return found ?? { name: practice[row], reason: '' };
}
