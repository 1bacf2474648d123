import type { Database } from 'better-sqlite3';
import type { GapMark, ImbalanceUnit, PlaneImbalance, RodWeight } from '@/core/fits';

/** What is known of a whole engine beside its fits. Lengths mm, volumes cc, weights g. */
export interface EngineSheets {
  readonly volumes: {
    readonly bore_mm: number;
    readonly stroke_mm: number;
    readonly cylinders: number;
    readonly overbore_mm: number;
    readonly chamber_cc?: number;
    readonly gasketBore_mm?: number;
    readonly gasket_mm?: number;
    readonly deck_mm?: number;
    readonly crown_cc?: number;
  };
  readonly weights: { readonly what: 'rods' | 'pieces'; readonly name: string; readonly rods: readonly RodWeight[]; readonly pieces_g: readonly number[]; readonly tolerance_g: number };
  readonly balance: { readonly report: string; readonly unit: ImbalanceUnit; readonly planes: readonly PlaneImbalance[] };
  readonly clocking: { readonly marks: readonly GapMark[]; readonly pin_deg?: number; readonly thrust_deg?: number; readonly note: string };
  readonly bearings: {
    /** `Main bearings`, `Big ends` */
    readonly name: string;
    readonly journal_mm: number;
    readonly journalStandard_mm: number;
    readonly housing_mm: number;
    readonly housingStandard_mm: number;
    readonly steps_mm: readonly number[];
    readonly tolerance_mm: number;
    readonly shells: readonly { readonly upper: string; readonly lower: string }[];
  };
  readonly marks: { readonly pairs: readonly { readonly place: string; readonly one: string; readonly other: string }[] };
} // prettier-ignore

export type SheetKind = keyof EngineSheets;

export interface EngineSheet<K extends SheetKind = SheetKind> {
  readonly id: string;
  readonly engineId: string;
  readonly kind: K;
  readonly body: EngineSheets[K];
  readonly at: string;
}

interface SheetRow {
  readonly id: string;
  readonly engine_id: string;
  readonly kind: SheetKind;
  readonly body: string;
  readonly at: string;
}

const toSheet = (row: SheetRow): EngineSheet => ({
  id: row.id,
  engineId: row.engine_id,
  kind: row.kind,
  body: JSON.parse(row.body) as EngineSheets[SheetKind],
  at: row.at,
});

const nameOf = ({ body }: EngineSheet): string => ('name' in body ? body.name.trim().toLowerCase() : '');

/** Of sheets in their order, the last of each kind and name: rods and pistons are weighed apart, mains and big ends measured apart. */
export const holdingSheets = (sheets: readonly EngineSheet[]): readonly EngineSheet[] => [
  ...new Map(sheets.map((sheet) => [`${sheet.kind} ${nameOf(sheet)}`, sheet])).values(),
];

export const createSheetRepository = (db: Database) => {
  const ofEngine = db.prepare<[string], SheetRow>('SELECT * FROM engine_sheet WHERE engine_id = ? ORDER BY seq');
  const insert = db.prepare('INSERT INTO engine_sheet (id, engine_id, kind, body, at) VALUES (@id, @engineId, @kind, @body, @at)');
  const all = (engineId: string): readonly EngineSheet[] => ofEngine.all(engineId).map(toSheet);
  return {
    /** Every sheet, the earlier ones before the one that holds. */
    all,
    /** Those of a kind that hold: one of each name. */
    holding: <K extends SheetKind>(engineId: string, kind: K): readonly EngineSheet<K>[] =>
      holdingSheets(all(engineId)).filter((sheet): sheet is EngineSheet<K> => sheet.kind === kind),
    /** The sheet of a kind that holds. */
    latest: <K extends SheetKind>(engineId: string, kind: K): EngineSheet<K> | undefined =>
      all(engineId).findLast((sheet): sheet is EngineSheet<K> => sheet.kind === kind),
    add: (sheet: EngineSheet): void => void insert.run({ ...sheet, body: JSON.stringify(sheet.body) }),
  };
};
