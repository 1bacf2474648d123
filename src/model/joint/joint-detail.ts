import type { Hole } from './hole';
import type { FastenerFacts, ParentFacts } from './fastener-facts';
import { storedJson } from '@/model/stored-json';
import type { Care } from './care';
import type { ClampMapFacts } from './clamp-map-facts';
import type { FigureFields } from './figure-fields';
import type { Override, RungId } from '@/core/joint';
import type { ColdRule, RetorqueStage, SlopeReading } from '@/core/heat';
import type { HeatCycleSchool, HousePractice } from '@/model/practice/house-practice';
import type { KindTurn, Position } from '@/core/tightening';
import type { Adaptor } from '@/core/wrench';
import type { PlaceNote } from './place-note';

export const JOINT_CLASSES = ['inside', 'outside', 'trim'] as const;
export type JointClass = (typeof JOINT_CLASSES)[number];

/** With what was in the joint when it was read: of another thread or lubricant it says nothing. */
export interface KeptSlope extends SlopeReading {
  readonly of: { readonly thread: string; readonly threadFilm: string; readonly headFilm: string };
}

/** What was substituted, set aside and decided on the figure of a fastener. */
export interface FigureDetail {
  /** The original's facts beyond the joint's own thread and face. */
  readonly original: Omit<FastenerFacts, 'thread' | 'outer_mm' | 'inner_mm' | 'faceMeasured'>;
  /** The substitute; null where the original is used. */
  readonly today: FastenerFacts | null;
  /** Null: the same film as in the thread. */
  readonly headFilm: string | null;
  readonly parent: ParentFacts;
  readonly maker: { readonly text: string; readonly film: string; readonly source: string } | null;
  readonly adaptor: Adaptor | null;
  readonly overrides: Partial<Record<RungId, Override>>;
  /** True where the wrench was taken by hand, not chosen from the shelf. */
  readonly wrenchByHand: boolean;
  /** One more round at the final figure. */
  readonly confirming: boolean;
  /** Why a lower-ranked leaf was taken. */
  readonly leafReason: string | null;
  /** The leaf that governed when that reason was written: it speaks against no other. Null where nobody kept it. */
  readonly overLeafId: string | null;
  /** What a change after the first pull was said to mean. */
  readonly changeMeans: {
    readonly means: 'next-round' | 'correction';
    readonly target_Nm: number;
    /** What the sheet said when it was answered. */
    readonly of?: {
      readonly thread: string;
      readonly threadFilm: string;
      readonly headFilm: string;
      readonly printedText: string;
    };
  } | null;
  /** What is not known and was left so by a person, by code of what is unknown. */
  readonly leftUnknown: readonly string[];
  /** Its own torque against angle, read on the straight part of a last pass; null where nobody read it. */
  readonly slope: KeptSlope | null;
  /** The figure of a joint that no page mentions. */
  readonly standard: { readonly grade: string; readonly fraction: number } | null;
}

/** Fasteners of another kind than the joint's own: larger, longer, or studs where the others are bolts. */
export interface FastenerKind {
  /** `Short studs` */
  readonly name: string;
  /** Which they are, counted from 0 as the places lie; those of no kind are the joint's own. */
  readonly places: readonly number[];
  readonly fields: FigureFields;
  readonly detail: FigureDetail;
}

/** What was said of a joint beyond what its figure is made from. */
export interface JointDetail extends FigureDetail {
  readonly jointClass: JointClass;
  /** Null: what house practice gives its class. */
  readonly care: Care | null;
  /** Where each fastener lies, mm from the left and from the top, of a joint in no pattern. */
  readonly places: readonly Position[] | null;
  /** The book's own order, place after place from 0; null where nobody entered one. */
  readonly turn: readonly number[] | null;
  /** The cap that goes first, from 1: the one that takes the thrust; null by the turn. */
  readonly firstCap: number | null;
  readonly placeNotes: readonly PlaceNote[];
  /** Those that somebody looked at. */
  readonly holes: readonly Hole[];
  readonly kinds: readonly FastenerKind[];
  /** How the joint's own fasteners and those of its kinds come up together. */
  readonly kindTurn: KindTurn;
  /** As typed: kind after kind, 0 the joint's own; empty where nobody typed it. */
  readonly kindSequence: readonly number[];
  /** What its clamp map is reckoned with; null where nobody looked at it. */
  readonly clampMap: ClampMapFacts | null;
  /** Leaves under another subject that speak of this joint too. */
  readonly alsoLeaves: readonly string[];
  /** What a run has to come to before it counts here. */
  readonly heatCycle: HeatCycleSchool;
  /** When its head counts as cold; null: by its metal. */
  readonly cold: ColdRule | null;
  /** How warm the head is to be for a warm retorque, and the page that says so. */
  readonly warm: { readonly head_C: number; readonly page: string } | null;
  /** After what it is gone over again, one after the other; empty: after the first heat. */
  readonly again: readonly RetorqueStage[];
  /** What is printed on its gasket of going over it: it governs over the manual. */
  readonly gasketSays: GasketSays;
  /** Who says how and when it is gone over, in the shop's own words: a page, a leaflet, a bulletin. */
  readonly retorqueSource: string;
  /** What is looked at after it was gone over, in order; null: what the shop usually looks at. */
  readonly follows: readonly string[] | null;
  /** How far each is slackened before it is pulled to its figure, degrees; null: a little. */
  readonly slackenBy_deg: number | null;
  /**
   * When the last round was begun that its fasteners of before were pulled in: those that are in since are new. Null:
   * none were. The round's own hour, which a copy of the joint keeps; its id it does not.
   */
  readonly newAfter: string | null;
}

/** What a gasket says of going over it; `unread` until somebody looked. */
export const GASKET_SAYS = ['unread', 'nothing', 'retorque', 'no-retorque'] as const;
export type GasketSays = (typeof GASKET_SAYS)[number];

const NOTHING_KNOWN: JointDetail['original'] = {
  form: 'unsaid',
  grade: null,
  metalThread: null,
  seating_Nm: null,
  washer_mm: null,
  washerThickness_mm: null,
  washerBore_mm: null,
  length_mm: null,
  threadLength_mm: null,
  headHeight_mm: null,
  nutHeight_mm: null,
  nutGrade: null,
  seat_deg: null,
  shankDiameter_mm: null,
  locking: 'unsaid',
  prevailingLow_Nm: null,
  prevailingHigh_Nm: null,
  socket: 'not-tried',
  takenBeyondYield: null,
  platedUnbaked: null,
};

export const PLAIN_DETAIL: JointDetail = {
  original: NOTHING_KNOWN,
  today: null,
  headFilm: null,
  parent: {
    metal: null,
    engagement_mm: null,
    underHead: null,
    holeDepth_mm: null,
    holeThrough: false,
    insert: null,
    insertLength_mm: null,
    insertLow_Nm: null,
    insertHigh_Nm: null,
    hottest_C: null,
    grip_mm: null,
    gasketArea_mm2: null,
    gasketLimit_MPa: null,
    nearHeat: null,
    boreMoves: null,
  },
  maker: null,
  adaptor: null,
  overrides: {},
  wrenchByHand: true,
  jointClass: 'inside',
  care: null,
  places: null,
  turn: null,
  placeNotes: [],
  holes: [],
  kinds: [],
  firstCap: null,
  kindTurn: 'by-stage',
  kindSequence: [],
  clampMap: null,
  confirming: false,
  alsoLeaves: [],
  leafReason: null,
  overLeafId: null,
  heatCycle: 'head-60',
  cold: null,
  warm: null,
  again: [],
  gasketSays: 'unread',
  retorqueSource: '',
  follows: null,
  slackenBy_deg: null,
  newAfter: null,
  changeMeans: null,
  leftUnknown: [],
  slope: null,
  standard: null,
};

/** The care a joint gets: its own, or what house practice gives its class. */
export const careOf = ({ care, jointClass }: JointDetail, practice: HousePractice): Care =>
  care ?? { inside: practice.careInside, outside: practice.careOutside, trim: practice.careTrim }[jointClass];

const completeFigure = (held: Partial<FigureDetail>) => ({
  original: { ...PLAIN_DETAIL.original, ...held.original },
  parent: { ...PLAIN_DETAIL.parent, ...held.parent },
  today: held.today ? { ...NOTHING_KNOWN, ...held.today } : null,
});

/** Fills in what an older line of the file does not say. */
export const completeDetail = (held: Partial<JointDetail>): JointDetail => ({
  ...PLAIN_DETAIL,
  ...held,
  ...completeFigure(held),
  // Before, a gasket gave as much either way.
  clampMap: held.clampMap ? ({ unloading: 1, ...(held.clampMap as Partial<ClampMapFacts>) } as ClampMapFacts) : null,
  kinds: (held.kinds ?? []).map((kind) => ({
    ...kind,
    detail: {
      ...kind.detail,
      slope: (kind.detail as Partial<FigureDetail>).slope ?? null,
      ...completeFigure(kind.detail),
    },
  })),
});

/**
 * Since the second a joint may have fasteners of several kinds: a program that does not know this would give all of
 * them one figure, and must not read it. Older ones have none.
 */
const withKinds = (held: Readonly<Record<string, unknown>>) => held;

type Held = Readonly<Record<string, unknown>>;

const unsaidOf = (fastener: unknown): unknown =>
  (fastener as Held | null | undefined)?.locking === 'none' ? { ...(fastener as Held), locking: 'unsaid' } : fastener;

const withFasteners = (held: Held): Held => ({
  ...held,
  ...('original' in held && { original: unsaidOf(held.original) }),
  ...('today' in held && { today: unsaidOf(held.today) }),
});

/** Lifts a joint's own figure, and that of each of its kinds. */
const inKinds = (lift: (held: Held) => Held, held: Held): Held => ({
  ...lift(held),
  ...(Array.isArray(held.kinds) && {
    kinds: (held.kinds as readonly Held[]).map((kind) => ({ ...kind, detail: lift((kind.detail ?? {}) as Held) })),
  }),
});

/**
 * Since the third, that a fastener is not locked is something that somebody said: before, it stood on every sheet on
 * which nobody had said anything.
 */
export const withUnsaidLocks = (held: Held): Held => inKinds(withFasteners, held);

const saidOrNull = (parent: unknown): unknown =>
  parent && typeof parent === 'object'
    ? Object.fromEntries(
        Object.entries(parent).map(([name, value]) => [
          name,
          value === false && (name === 'insert' || name === 'nearHeat' || name === 'boreMoves')
            ? null
            : (value as unknown),
        ]),
      )
    : parent;

const withPlace = (held: Held): Held => ({ ...held, ...('parent' in held && { parent: saidOrNull(held.parent) }) });

/**
 * Since the fourth it can be said that no insert is wound in, that nothing is hot there, that no bore moves: before,
 * that stood wherever nobody had ticked it.
 */
export const withUnsaidPlaces = (held: Held): Held => inKinds(withPlace, held);

const kept = storedJson<Partial<JointDetail>>('detail of a joint', [withKinds, withUnsaidLocks, withUnsaidPlaces]);

export const DETAIL_JSON = { ...kept, read: (text: string): JointDetail => completeDetail(kept.read(text)) };
