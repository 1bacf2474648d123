import { nearTime } from '@/interface/figures/times';
import type { Wait, WaitPlace } from '@/model/engine/engine-wait';

/** One line of what an engine waits for. */
export function waitLine({ waitsFor, about, by }: Pick<Wait, 'waitsFor' | 'about' | 'by'>, now: number): string {
  if (about === undefined) return waitsFor;
  if (by !== undefined && now > by) return `${waitsFor} since about ${nearTime(by, now)}: read it, then go over it`;
  return `${waitsFor} about ${nearTime(about, now)}`;
}

const PATHS: Readonly<Record<WaitPlace['at'], (id: string) => string>> = {
  book: () => 'book',
  joints: () => 'joints',
  order: () => 'order',
  tray: () => 'order/tray',
  'run-in': () => 'run-in',
  joint: (id) => `joints/${id}`,
  stretch: (id) => `joints/${id}/stretch`,
  fit: (id) => `fits/${id}`,
  round: () => 'tighten',
};

/** The screen of the engine that a wait is about. */
export const screenOf = (engineId: string, to: WaitPlace): string =>
  `/engines/${engineId}/${PATHS[to.at]('id' in to ? to.id : '')}`;

/** Where it is done: the bench itself for a round that is under way. */
export const hrefOf = (engineId: string, to: WaitPlace): string =>
  to.at === 'round' ? `/face/${to.id}` : screenOf(engineId, to);
