import type { EngineState } from '@/model/engine/engine-state';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { NoteWithPhotos } from '@/model/note';
import type { TrayPart } from '@/model/order/tray';

export interface TrayPage {
  readonly engineId: string;
  readonly engineName: string;
  readonly tray: readonly TrayPart[];
  /** Notes of its parts. */
  readonly notes: readonly NoteWithPhotos[];
  /** The steps of the order by name: where a part goes. */
  readonly steps: readonly { readonly id: string; readonly name: string }[];
}

/** What wants something first: short, then over, then to be checked; the rest as it was written down. */
const rank = ({ short, surplus, asks }: TrayPart): number =>
  short > 0 ? 0 : surplus > 0 ? 1 : asks === undefined ? 3 : 2;

export const trayPage = ({ engine, order }: EngineState, { notes }: Pick<EngineRows, 'notes'>): TrayPage => ({
  engineId: engine.id,
  engineName: engine.name,
  tray: [...order.tray].sort((a, b) => rank(a) - rank(b)),
  notes: notes.filter(({ partId }) => partId !== null),
  steps: order.steps.map(({ step: { id, name } }) => ({ id, name })),
});
