'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { DomainError, type Checked } from '@/core/units';
import { linesOfPaper, PAPER_OUTCOMES, type PaperBox } from '@/model/joint/from-paper';
import { oneOf } from '@/model/one-of';
import { typedNumber } from '@/model/typed-number';
import { assertWorkedWith } from '@/server/assert-worked-with';
import { plainShopAction } from '@/server/shop-action';
import { assertMayRecord } from './record-event';

interface Paper {
  readonly roundId: string;
  readonly boxes: readonly PaperBox[];
  readonly words: string;
  /** The screen that it is copied at. */
  readonly bench: string;
}

const MAX_BOXES = 2000;

const paperSchema = Joi.object<Checked<Paper>, true>({
  roundId: Joi.string().max(60).required(),
  boxes: Joi.array()
    .items(
      Joi.object<PaperBox, true>({
        step: typedNumber().integer().min(0).max(MAX_BOXES).required(),
        outcome: oneOf(PAPER_OUTCOMES).required(),
      }),
    )
    .max(MAX_BOXES)
    .unique('step')
    .required(),
  words: Joi.string().trim().max(200).allow('').default(''),
  bench: Joi.string().min(8).max(40).required(),
});

/**
 * Copies what was ticked on a paper card, all of it or none. Its lines say that they are from paper, and are asked all
 * that a pull at the bench is asked.
 */
export const copyFromPaperAction = plainShopAction(
  paperSchema,
  ({ roundId, boxes, words, bench }, { shop, nowIso }) => {
    const round = shop.tightenings.find(roundId);
    if (!round) throw new DomainError('not-found', 'That tightening is not in this shop.', 'roundId');
    assertWorkedWith(shop, 'joint', round.jointId);
    const drafts = linesOfPaper(round.plan, shop.tightenings.events(roundId), boxes, words);
    for (const draft of drafts) {
      // A card does not say when: the crank was turned at some time since the round was begun.
      assertMayRecord(shop, round, draft, bench, nowIso, round.startedAt);
      shop.tightenings.record(round, { ...draft, id: nanoid(), at: nowIso }, nowIso);
    }
    return { copied: drafts.length };
  },
);
