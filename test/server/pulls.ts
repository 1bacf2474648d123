import { randomBytes } from 'node:crypto';
import type { Shop } from '@/db/shop';
import { freshTightening } from '../db/temporary-shop';

export interface Sent {
  readonly id: string;
  readonly body: string;
}

export const newPull = (step: number): Sent => {
  const id = randomBytes(9).toString('hex');
  return { id, body: JSON.stringify({ id, kind: 'pull', step, outcome: 'pulled', age_ms: 0 }) };
};

/** Sends a line; true only where the server acknowledged it. */
export const sendPull = (address: string, tighteningId: string, { body }: Sent): Promise<boolean> =>
  fetch(`${address}/api/tightenings/${tighteningId}/events`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  })
    .then(async (response) => ((await response.json()) as { ok: boolean }).ok)
    .catch(() => false);

/** A going-round so long that no test comes to its end. */
export function longRound(shop: Shop, id: string, times = 40): string {
  const { plan, ...tightening } = freshTightening(shop, id);
  const pulls = plan.steps.filter((step) => step.kind === 'pull');
  const long = `${id}-long`;
  const steps = Array.from({ length: times }, () => pulls).flat();
  shop.tightenings.start({ ...tightening, id: long, plan: { ...plan, steps } });
  return long;
}
