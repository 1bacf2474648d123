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

/** One printed figure, as it stands on its page. */
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
  /** Which of the readings of the text was chosen. */
  readonly readingIndex: number;
  readonly min_Nm: number | null;
  readonly max_Nm: number | null;
  readonly min_deg: number | null;
  readonly max_deg: number | null;
  readonly min_mm: number | null;
  readonly max_mm: number | null;
  /** Codes of the notes that the reader was asked about and agreed to. */
  readonly agreedNotes: readonly string[];
  readonly replacesId: string | null;
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
