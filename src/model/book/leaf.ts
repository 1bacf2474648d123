import type { TorqueReading } from '@/core/print';
import { storedJson } from '@/model/stored-json';
export const LEAF_KINDS = [
  'torque',
  'lever-pull',
  'turn',
  'stretch',
  'clearance',
  'end-float',
  'order',
  'note',
] as const;

export type LeafKind = (typeof LEAF_KINDS)[number];

/** A figure as it stands on its page: its unit and its figures, or a force on a lever. */
export interface PrintedFigure {
  /** Absent for a pull on a lever, where force and length have a unit each. */
  readonly unit?: string;
  readonly printedMin: number;
  readonly printedMax: number;
  readonly force?: TorqueReading['force'];
  readonly lever?: TorqueReading['lever'];
}

const kept = storedJson<PrintedFigure>('printed figure', []);

export const FIGURE_JSON = {
  read: (text: string | null): PrintedFigure | null => (text === null ? null : kept.read(text)),
  write: (figure: PrintedFigure | null): string | null => (figure === null ? null : kept.write(figure)),
};

/** One entry of a book, as it stands on its page, with its figure in SI. */
export interface Leaf {
  readonly id: string;
  readonly engineId: string;
  readonly sourceId: string;
  readonly page: string;
  readonly subject: string;
  readonly printedText: string;
  /** The printed words on the thread; null where the page says nothing. */
  readonly conditionText: string | null;
  readonly kind: LeafKind;
  /** The reading that was chosen, as it is printed; null where nothing is read, and in leaves older than the column. */
  readonly figure: PrintedFigure | null;
  readonly min_Nm: number | null;
  readonly max_Nm: number | null;
  readonly min_deg: number | null;
  readonly max_deg: number | null;
  readonly min_mm: number | null;
  readonly max_mm: number | null;
  /** Codes of the notes that the reader was asked about and agreed to. */
  readonly agreedNotes: readonly string[];
  readonly replacesId: string | null;
  /** Initials of whoever typed it in. */
  readonly who?: string;
  readonly createdAt: string;
}

/** A photograph of a page: the file as given, and a small one. */
export interface Photo {
  readonly id: string;
  readonly leafId: string;
  readonly name: string;
  readonly type: string;
  readonly whole: Buffer;
  readonly thumbnail: Buffer;
  readonly createdAt: string;
}
