import Joi from 'joi';
import { DomainError } from '@/core/units';
import {
  assertHolds,
  HOLD_ACTS,
  HOLD_JSON,
  holdAfter,
  holdView,
  type BenchHold,
  type HoldMove,
  type HoldView,
} from '@/model/joint/bench-hold';
import type { RecordedEvent } from '@/model/joint/tightening';
import { oneOf } from '@/model/one-of';
import type { Shop } from '@/db/shop';

/** What a screen sees of the wrench, and how many lines the round has on disk. */
export interface HoldSeen extends HoldView {
  readonly lines: number;
}

type Move = Omit<HoldMove, 'who'>;

const benchId = Joi.string().min(8).max(40);

const moveSchema = Joi.object<Move, true>({
  act: oneOf(HOLD_ACTS).required(),
  bench: benchId.required(),
  words: Joi.string().trim().max(200),
});

const keyOf = (tighteningId: string) => `wrench of ${tighteningId}`;

/** Who has the wrench of a round, with the version that a writer must name. */
function kept(shop: Shop, tighteningId: string): { readonly hold?: BenchHold; readonly version: number } {
  const setting = shop.settings.get(keyOf(tighteningId));
  return setting ? { hold: HOLD_JSON.read(setting.value), version: setting.version } : { version: 0 };
}

const assertRound = (shop: Shop, tighteningId: string): void => {
  if (!shop.tightenings.find(tighteningId))
    throw new DomainError('not-found', 'That tightening is not in this shop.', 'id');
};

const seenBy = (
  events: readonly RecordedEvent[],
  hold: BenchHold | undefined,
  own: Pick<HoldMove, 'bench' | 'who'>,
  nowIso: string,
): HoldSeen => ({ ...holdView(hold, own, events.at(-1)?.recordedAt, nowIso), lines: events.length });

/** How the wrench of a round stands for a screen. @throws DomainError not-found */
export function holdOf(
  shop: Shop,
  tighteningId: string,
  own: Pick<HoldMove, 'bench' | 'who'>,
  nowIso: string,
): HoldSeen {
  assertRound(shop, tighteningId);
  return seenBy(shop.tightenings.events(tighteningId), kept(shop, tighteningId).hold, own, nowIso);
}

/**
 * Takes the wrench of a round, asks for it, hands it over or lays it down.
 * @throws DomainError not-found, bad-field, held-elsewhere, nobody-asked, nobody-has
 */
export function moveHold(shop: Shop, tighteningId: string, body: unknown, who: string, nowIso: string): HoldSeen {
  const checked = moveSchema.validate(body);
  if (checked.error) throw new DomainError('bad-field', `${checked.error.message.replace(/"/g, '')}.`, 'act');
  const move = checked.value;
  return shop.transaction(() => {
    assertRound(shop, tighteningId);
    const { hold, version } = kept(shop, tighteningId);
    const events = shop.tightenings.events(tighteningId);
    const next = holdAfter(hold, { ...move, who }, events.at(-1)?.recordedAt, nowIso);
    if (JSON.stringify(next) !== JSON.stringify(hold))
      shop.settings.set(keyOf(tighteningId), HOLD_JSON.write(next), version);
    return seenBy(events, next, { bench: move.bench, who }, nowIso);
  });
}

/** @throws DomainError held-elsewhere where another screen has the wrench */
export const assertHoldsWrench = (shop: Shop, tighteningId: string, bench: string | undefined, at: string): void =>
  assertHolds(kept(shop, tighteningId).hold, bench, at);
