import { DomainError } from '@/core/units';
import { engineStateNow } from './engine-now';
import { found, type Bench } from './shop-action';

/**
 * Once something was built, what is over leaves the tray with a reason, by being struck off: not by a count put right
 * or by being taken away.
 * @throws DomainError over
 */
export function assertNotOver(bench: Pick<Bench, 'shop'>, partId: string, field = 'id'): void {
  const { engineId, name } = found({ find: bench.shop.build.findPart }, partId, 'part', field);
  const { order } = engineStateNow(bench, engineId);
  const over = order.tray.find(({ part }) => part.id === partId)?.surplus ?? 0;
  if (over > 0 && order.steps.some(({ done }) => done !== undefined))
    throw new DomainError(
      'over',
      `“${name}” stays as it is: ${over} of it ${over === 1 ? 'is' : 'are'} over. Strike off what is not there, with the reason; a slip just made is taken back with Undo.`,
      field,
    );
}
