/** What kind of paper a figure stands on, in the order in which they outrank one another. */
export const SOURCE_KINDS = ['part-print', 'bulletin', 'manual', 'supplier', 'own', 'shop-report', 'hearsay'] as const;

export type SourceKind = (typeof SOURCE_KINDS)[number];

/** Languages that print is read in, by their tag. */
export const PRINT_LANGUAGES = ['en', 'de', 'fr', 'it', 'es', 'sv', 'nl', 'cs', 'pt', 'da', 'nb', 'pl', 'ja'] as const;

export type PrintLanguage = (typeof PRINT_LANGUAGES)[number];

export interface Source {
  readonly id: string;
  readonly title: string;
  readonly edition: string;
  readonly year: number | null;
  readonly kind: SourceKind;
  /** Set where the shop ranks it otherwise than its kind; 1 goes first. */
  readonly rank: number | null;
  readonly fromYear: number | null;
  readonly toYear: number | null;
  readonly fromNumber: string;
  readonly toNumber: string;
  /** The source whose leaves this one puts out of force, for the engines it applies to. */
  readonly supersedesId: string | null;
  /** Of its print, as a BCP 47 tag; empty where nobody said. */
  readonly language: string;
  /** Why it is set aside; absent of one that is worked with. */
  readonly aside?: string;
  /** Rises with every change; a writer names the one it read. */
  readonly version: number;
  readonly createdAt: string;
}

/** What a plain source says beside its title. */
export const PLAIN_SOURCE = {
  kind: 'manual',
  rank: null,
  fromYear: null,
  toYear: null,
  fromNumber: '',
  toNumber: '',
  supersedesId: null,
  language: '',
} as const;
