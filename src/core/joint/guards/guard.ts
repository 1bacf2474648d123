import type { Grade, ParentMetal, Reach } from '@/core/fastener';
import type { Thread } from '@/core/thread';
import type { Note } from '@/core/units';
import type { WrenchScale } from '@/core/wrench';
import type { Ladder } from '../ladder';
import type { WorkingLine } from '../working';
import type { LadderFastener } from '../rungs/rung';

/** `stop`: not to be pulled without a written reason; `ask`: look before going on. */
export interface Guard {
  readonly code: string;
  readonly severity: 'stop' | 'ask';
  readonly message: string;
  /** True for a stop that no reason lifts: there is no clamp load to pull for. */
  readonly absolute?: true;
  /** How its figure was come to, and what each part of it rests on. */
  readonly working?: readonly WorkingLine[];
  readonly source?: string;
}

/** `unsaid` until somebody looked: that nothing locks it is an answer like the others. */
export const LOCKINGS = ['unsaid', 'none', 'tab', 'compound', 'wire', 'pin', 'polymer-nut', 'metal-nut'] as const;
export type Locking = (typeof LOCKINGS)[number];

/** A washer under the head or nut, mm. What was not measured is left out. */
export interface Washer {
  readonly outer_mm: number;
  readonly thickness_mm?: number;
  readonly inner_mm?: number;
}

/** The nut, where there is one. What was not measured is left out. */
export interface Nut {
  readonly height_mm?: number;
  readonly grade?: Grade;
}

/** What a gasket or flange gives each bolt to press on, and what it bears. */
export interface GasketArea {
  readonly area_mm2: number;
  readonly limit_MPa?: number;
}

export interface GuardInput {
  readonly ladder: Ladder;
  readonly original: LadderFastener & { readonly gradeRow?: Grade };
  readonly today: LadderFastener & { readonly gradeRow?: Grade };
  readonly form: 'bolt' | 'stud';
  readonly faceMeasured: boolean;
  readonly substituted: boolean;
  /** What was done to today's fastener before: undefined where nobody said. */
  readonly takenBeyondYield?: boolean;
  readonly platedUnbaked?: boolean;
  /** The thread that sits in the parent, where there is one: a bolt's own, or a stud's metal end. */
  readonly parent?: {
    readonly thread: Thread;
    readonly metal?: ParentMetal;
    readonly engagement_mm?: number;
    /** A thread insert is wound in: it is the insert's outside that would strip, along its own length. */
    readonly insert?: {
      readonly length_mm?: number;
      /** The most it turns with by itself; 0 where it runs freely. */
      readonly torque_Nm?: number;
    };
    /** Nobody said whether one is wound in. */
    readonly insertUnsaid?: boolean;
    /** How hot the parent gets there. */
    readonly hottest_C?: number;
  };
  /** What the head or nut presses on. */
  readonly underHead?: ParentMetal;
  readonly washer?: Washer;
  /** Where a nut is run down; a bolt in a tapped hole has none. */
  readonly nut?: Nut;
  readonly gasket?: GasketArea;
  /** How hot what is clamped gets, °C. */
  readonly hottest_C?: number;
  readonly reach: Reach;
  readonly locking: Locking;
  /** It sits on a head or an exhaust; undefined where nobody said. */
  readonly nearHeat?: boolean;
  readonly seating_Nm?: number;
  readonly socket?: 'takes' | 'fouls' | 'not-tried';
  /** New fasteners here can move a bore; undefined where nobody said. */
  readonly boreMoves?: boolean;
  readonly todayFilmId: string;
  readonly headFilmId: string;
  /** The film of a maker’s figure in force. */
  readonly makerFilm?: { readonly id: string; readonly name: string };
  readonly hearsay: boolean;
  /** What the reader was asked about before the printed figure was taken. */
  readonly agreed: readonly Note[];
  readonly bookSays: string | null;
  readonly bookFilmId: string;
  readonly wrench: WrenchScale & { readonly name: string; readonly overdue: boolean; readonly windowFloor: number };
}

export const LIMIT = 0.9;

export const pct = (share: number) => `${(share * 100).toFixed(0)} %`;
export const kN = (newtons: number) => `${(newtons / 1000).toFixed(1)} kN`;
export const mm = (value: number) => `${Number(value.toFixed(2))} mm`;
export const Nm = (value: number) => `${Number(value.toPrecision(3))} N·m`;

export const stop = (code: string, message: string): Guard => ({ code, severity: 'stop', message });
export const ask = (code: string, message: string): Guard => ({ code, severity: 'ask', message });
/** A stop that no reason lifts. */
export const never = (code: string, message: string): Guard => ({ ...stop(code, message), absolute: true });
