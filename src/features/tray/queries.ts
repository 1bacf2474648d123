import type { EngineState } from '@/model/engine/engine-state';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { EngineMeasure } from '@/model/engine/engine-measure';
import type { NoteWithPhotos } from '@/model/note';
import { pairsOffTray } from '@/model/order/pairs-off-tray';
import type { TrayPart } from '@/model/order/tray';

export interface TrayPage {
  readonly engineId: string;
  readonly engineName: string;
  readonly tray: readonly TrayPart[];
  /** How many pairs of the sheet of match marks are not on it. */
  readonly pairs: number;
  /** Notes of its parts. */
  readonly notes: readonly NoteWithPhotos[];
  /** The steps of the order by name: where a part goes. */
  readonly steps: readonly { readonly id: string; readonly name: string }[];
}

/** What wants something first: short, then over, then to be checked; the rest as it was written down. */
const rank = ({ short, surplus, asks }: TrayPart): number =>
  short > 0 ? 0 : surplus > 0 ? 1 : asks === undefined ? 3 : 2;

export const trayPage = (
  { engine, order }: EngineState,
  { notes, order: { parts } }: Pick<EngineRows, 'notes' | 'order'>,
  measures: readonly EngineMeasure[],
): TrayPage => ({
  pairs: pairsOffTray(measures, parts).length,
  engineId: engine.id,
  engineName: engine.name,
  tray: [...order.tray].sort((a, b) => rank(a) - rank(b)),
  notes: notes.filter(({ partId }) => partId !== null),
  steps: order.steps.map(({ step: { id, name } }) => ({ id, name })),
});
