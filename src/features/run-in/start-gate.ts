import { DomainError } from '@/core/units';
import { barsOfStart, startStepOf } from '@/model/order/gate';
import { barsOfSheet, startSheetOf } from '@/model/order/start-sheet';
import { engineStateNow } from '@/server/engine-now';
import type { Bench } from '@/server/shop-action';

/** The line that a first run wrote where something stood open, by the id of the run. */
export const lineOfStart = (runId: string) => `${runId}-s`;

/** As many as are read in a sentence. */
const SAID = 3;

/**
 * The first run of an engine asks for its sheet: what stands open is written down with the reason why it was started all
 * the same, or that it ran before it came here.
 * @throws DomainError start-open where something does, and nobody said why
 */
export function assertStarted(
  bench: Bench,
  { id, engineId, startReason }: { readonly id: string; readonly engineId: string; readonly startReason: string },
): void {
  const { shop, now, nowIso } = bench;
  if (shop.heat.log(engineId).cycles.length > 0) return;
  const state = engineStateNow(bench, engineId);
  // Its step in the order asked the same, and has its own reason.
  if (startStepOf(state)?.state === 'done') return;
  const sheet = startSheetOf(state.order.lines, now);
  if (sheet.passed) return;
  const bars = [...barsOfStart(state), ...barsOfSheet(sheet)].map(({ message }) => message);
  if (bars.length === 0) return;
  if (startReason === '')
    throw new DomainError(
      'start-open',
      `This stood open before a first start: ${bars.slice(-SAID).join(' ')} Look at it, or say why it was started all the same; or that it ran before it came here.`,
      'startReason',
    );
  const body = { bars, reason: startReason };
  shop.build.record(engineId, { id: lineOfStart(id), kind: 'start-passed', at: nowIso, body }, nowIso);
}
