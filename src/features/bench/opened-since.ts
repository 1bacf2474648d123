import type { Tightening } from '@/model/joint/tightening';
import { openedAt, openingsOf } from '@/model/order/openings';
import type { Bench } from '@/server/shop-action';

export const OPENED_SINCE = 'This joint was opened up in the order since this round was begun: it counts no more.';

/** When the joint of a round was opened up after the round was begun; undefined where it was not. */
export function openedSince(
  shop: Bench['shop'],
  engineId: string,
  { jointId, startedAt }: Tightening,
): string | undefined {
  const at = openedAt(openingsOf(shop.build.linesOfOpening(engineId)), jointId);
  return at >= startedAt && at !== '' ? at : undefined;
}
