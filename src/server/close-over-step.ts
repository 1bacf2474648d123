import type { Shop } from '@/db/shop';
import { closedOver } from '@/model/order/edit-steps';
import { assertWritten } from '@/model/stale';

/** What waited for a step that is struck out waits for what that one waited for: nothing loses its place. */
export function closeOverStep(shop: Shop, stepId: string): void {
  const step = shop.build.findStep(stepId);
  if (!step) return;
  const { steps } = shop.build.ofEngine(step.engineId);
  for (const changed of closedOver(steps, stepId)) assertWritten(changed.name, shop.build.alterStep(changed), changed);
}
