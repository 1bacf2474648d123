import type { Purpose } from '@/model/joint/tightening';

interface PurposeWords {
  /** At the head of a round in the record. */
  readonly name: string;
  /** Beside the joint's name at the bench; empty where it goes round for good. */
  readonly title: string;
  /** What is said under the figure at the bench. */
  readonly caution: string;
  /** What is said before the first pull; of tight nuts nothing is run down. */
  readonly before: string;
}

const RUN_DOWN = 'Run every fastener down by hand first. Stand so that a slip hurts nobody.';
const NOT_COMPLETING = 'It does not complete the joint, and counts as a use of the fasteners.';

export const PURPOSE_WORDS: Readonly<Record<Purpose, PurposeWords>> = {
  sizing: {
    name: 'Sizing',
    title: 'sizing',
    caution: `To size what lies between. ${NOT_COMPLETING}`,
    before: RUN_DOWN,
  },
  measuring: {
    name: 'For measuring',
    title: 'for measuring',
    caution: `To read a bore or a gap. ${NOT_COMPLETING}`,
    before: RUN_DOWN,
  },
  strip: {
    name: 'For the strip',
    title: 'for the strip',
    caution: `The crank is held while a strip lies in. ${NOT_COMPLETING}`,
    before: RUN_DOWN,
  },
  trial: { name: 'Trial', title: 'trial', caution: 'A test round: it does not complete the joint.', before: RUN_DOWN },
  final: {
    name: 'Tightening',
    title: '',
    caution: 'Smooth and slow, shortest extension, the other end held still.',
    before: RUN_DOWN,
  },
  retorque: {
    name: 'Retorque',
    title: 'retorque',
    caution: 'Cold only, unless the book says warm. Never open a hot cooling system.',
    before: 'They are tight: one at a time, and no two slack at once. Stand so that a slip hurts nobody.',
  },
};
