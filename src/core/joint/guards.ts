import { reachFaults, strip, type Grade, type ParentMetal, type Reach } from '@/core/fastener';
import type { Thread } from '@/core/thread';
import type { Note } from '@/core/units';
import type { WrenchScale } from '@/core/wrench';
import type { Ladder } from './ladder';
import type { LadderFastener } from './rungs/rung';

/** `stop`: not to be pulled without a written reason; `ask`: look before going on. */
export interface Guard {
  readonly code: string;
  readonly severity: 'stop' | 'ask';
  readonly message: string;
}

export const LOCKINGS = ['none', 'tab', 'compound', 'wire', 'polymer-nut', 'metal-nut'] as const;
export type Locking = (typeof LOCKINGS)[number];

export interface GuardInput {
  readonly ladder: Ladder;
  readonly original: LadderFastener & { readonly gradeRow?: Grade };
  readonly today: LadderFastener & { readonly gradeRow?: Grade };
  readonly substituted: boolean;
  /** The thread that sits in the parent, where there is one: a bolt's own, or a stud's metal end. */
  readonly parent?: { readonly thread: Thread; readonly metal?: ParentMetal; readonly engagement_mm?: number };
  /** What the head or nut presses on. */
  readonly underHead?: ParentMetal;
  /** Outside and hole of what presses on it: the washer, where there is one. */
  readonly pressed: { readonly outer_mm: number; readonly inner_mm: number };
  readonly reach: Reach;
  readonly locking: Locking;
  readonly nearHeat: boolean;
  readonly seating_Nm?: number;
  readonly socket?: 'takes' | 'fouls' | 'not-tried';
  readonly boreMoves: boolean;
  readonly todayFilmId: string;
  /** The film of a maker’s figure in force. */
  readonly makerFilm?: { readonly id: string; readonly name: string };
  readonly hearsay: boolean;
  /** What the reader was asked about before the printed figure was taken. */
  readonly agreed: readonly Note[];
  readonly bookSays: string | null;
  readonly bookFilmId: string;
  readonly wrench: WrenchScale & { readonly name: string; readonly overdue: boolean; readonly windowFloor: number };
}

const LIMIT = 0.9;
const PARENT_SHARE = 0.9;
const SAME_LOAD = 0.005;

const pct = (share: number) => `${(share * 100).toFixed(0)} %`;
const kN = (newtons: number) => `${(newtons / 1000).toFixed(1)} kN`;
const mm = (value: number) => `${Number(value.toFixed(2))} mm`;
const stop = (code: string, message: string): Guard => ({ code, severity: 'stop', message });
const ask = (code: string, message: string): Guard => ({ code, severity: 'ask', message });

function yieldGuards({ ladder: { load } }: GuardInput): readonly Guard[] {
  const [slippery, middle] = [load.slippery.utilisation, load.middle.utilisation];
  if (slippery === undefined || middle === undefined || slippery <= LIMIT) return [];
  const both = `${pct(slippery)} of its yield at the slippery end of the film, ${pct(middle)} at its middle`;
  return slippery > 1
    ? [stop('over-yield', `The fastener would be past its yield: ${both}.`)]
    : [stop('over-limit', `The fastener would be at ${both}; ${pct(LIMIT)} is the limit.`)];
}

/** The section that yields first, mm². */
const leastArea = ({ thread, shank_mm }: LadderFastener) =>
  Math.min(thread.stressArea_mm2, shank_mm === undefined ? Infinity : (Math.PI / 4) * shank_mm ** 2);

/** The parent's thread, its lead-in left out. */
function parentGuards({ ladder, parent, today }: GuardInput): readonly Guard[] {
  const { metal, engagement_mm, thread } = parent ?? {};
  if (!metal || engagement_mm === undefined || !thread) return [];
  const guards: Guard[] = [];
  const least = metal.engagement_d * thread.major_mm;
  if (engagement_mm < least)
    guards.push(
      ask(
        'engagement-short',
        `${mm(engagement_mm)} of engagement is short for ${metal.name.toLowerCase()}: ${metal.engagement_d} diameters are ${mm(least)}.`,
      ),
    );
  const full = engagement_mm - thread.pitch_mm;
  const strip_N = full > 0 ? PARENT_SHARE * strip(thread, full, metal.shearLow_MPa).strip_N : 0;
  const bolt_N = today.yield_MPa === undefined ? undefined : today.yield_MPa * leastArea(today);
  if (strip_N < ladder.load.slippery.preload_N)
    guards.push(
      stop(
        'strips',
        `The thread in the ${metal.name.toLowerCase()} would strip at ${kN(strip_N)}; the clamp load can reach ${kN(ladder.load.slippery.preload_N)}.`,
      ),
    );
  else if (bolt_N !== undefined && strip_N < bolt_N)
    guards.push(
      ask(
        'strips-first',
        `The parent’s thread would strip (${kN(strip_N)}) before the fastener yields (${kN(bolt_N)}): it will give no warning.`,
      ),
    );
  return guards;
}

function pressureGuards({ ladder, underHead, pressed }: GuardInput): readonly Guard[] {
  if (!underHead) return [];
  const area = (Math.PI / 4) * (pressed.outer_mm ** 2 - pressed.inner_mm ** 2);
  const pressure = ladder.band.p95_N / area;
  const said = `The head presses ${underHead.name.toLowerCase()} with up to ${pressure.toFixed(0)} MPa; ${underHead.pressureLow_MPa} to ${underHead.pressureHigh_MPa} is allowed. A larger hardened washer spreads it.`;
  if (pressure > underHead.pressureHigh_MPa) return [stop('pressure', said)];
  return pressure > underHead.pressureLow_MPa ? [ask('pressure', said)] : [];
}

function substituteGuards(input: GuardInput): readonly Guard[] {
  const { original, today, substituted, socket, boreMoves } = input;
  const guards: Guard[] = [];
  if (socket === 'fouls')
    guards.push(stop('socket-fouls', 'The socket does not get at the substitute, or its head fouls.'));
  if (!substituted) return guards;
  const strength = (one: GuardInput['today']) =>
    one.yield_MPa === undefined ? undefined : one.yield_MPa * leastArea(one);
  const [before, now] = [strength(original), strength(today)];
  if (before !== undefined && now !== undefined && now < before * (1 - SAME_LOAD))
    guards.push(stop('weaker', `The substitute yields at ${kN(now)}, the original at ${kN(before)}.`));
  if (socket === undefined || socket === 'not-tried')
    guards.push(
      ask(
        'socket-not-tried',
        'Does a socket get at the substitute, and does its head clear everything? Try it before building over it.',
      ),
    );
  if (boreMoves)
    guards.push(
      ask('bore-moves', 'New fasteners here can move the bore: measure it again with them at their final figure.'),
    );
  return guards;
}

function reachGuards({ reach }: GuardInput): readonly Guard[] {
  return reachFaults(reach).map(({ code, over_mm }) =>
    code === 'bottoms-in-hole'
      ? stop(code, `It bottoms in its hole ${mm(over_mm)} before the head is down: torque without clamp.`)
      : stop(
          code,
          `Its plain shank is ${mm(over_mm)} longer than what it clamps: it meets its shoulder first, torque without clamp.`,
        ),
  );
}

const pageGuards = ({ hearsay, agreed }: GuardInput): readonly Guard[] => [
  ...(hearsay ? [ask('hearsay', 'The figure is hearsay until a page is shown.')] : []),
  ...agreed.map(({ code, message }) => ask(code, `On the page: ${message}`)),
];

function filmGuards({ bookSays, bookFilmId, todayFilmId, makerFilm }: GuardInput): readonly Guard[] {
  if (makerFilm && makerFilm.id !== todayFilmId)
    return [
      ask(
        'maker-film',
        `The maker’s figure holds in ${makerFilm.name.toLowerCase()} only; another film is chosen for today.`,
      ),
    ];
  if (bookSays === null || todayFilmId !== 'thread-locker' || bookFilmId !== 'dry-bare') return [];
  return [stop('film-not-allowed', `The book says “${bookSays}”; thread locker is not what it means.`)];
}

function lockingGuards({ today, locking, nearHeat, seating_Nm }: GuardInput): readonly Guard[] {
  const most = today.prevailing?.high_Nm ?? 0;
  return [
    ...(seating_Nm !== undefined && most > seating_Nm
      ? [
          ask(
            'prevailing-above-seating',
            `The nut’s own torque of up to ${most} N·m is above the stud’s seating figure of ${seating_Nm} N·m: the stud can turn with it.`,
          ),
        ]
      : []),
    ...(locking === 'polymer-nut' && nearHeat
      ? [
          stop(
            'polymer-near-heat',
            'A nut with a polymer insert does not stand near heat: the insert softens and lets go.',
          ),
        ]
      : []),
  ];
}

function wrenchGuards({ ladder: { setting }, wrench }: GuardInput): readonly Guard[] {
  const { name, unit, min, max, overdue, windowFloor } = wrench;
  const late = overdue ? [ask('check-overdue', `${name} is overdue for its check.`)] : [];
  if (!setting.onScale)
    return [
      stop(
        'off-scale',
        `${setting.rounded} ${unit} is off the scale of ${name} (${min} to ${max} ${unit}). Take another wrench.`,
      ),
      ...late,
    ];
  if (!setting.inWindow)
    return [
      ask(
        'off-window',
        `${setting.rounded} ${unit} is low on the scale of ${name}: it is trusted from ${Number(windowFloor.toPrecision(3))} ${unit} up.`,
      ),
      ...late,
    ];
  return late;
}

/** Everything that stands against pulling this joint to this figure, as sentences with their figures. */
export const guards = (input: GuardInput): readonly Guard[] =>
  [
    pageGuards,
    yieldGuards,
    parentGuards,
    pressureGuards,
    reachGuards,
    substituteGuards,
    filmGuards,
    lockingGuards,
    wrenchGuards,
  ].flatMap((look) => look(input));
