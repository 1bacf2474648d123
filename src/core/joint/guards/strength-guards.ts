import { STRONGEST_YIELD_MPA } from '../ladder';
import type { LadderFastener } from '../rungs/rung';
import { LIMIT, Nm, ask, kN, mm, never, pct, stop, type Guard, type GuardInput } from './guard';
import { nutGuards } from './nut-guards';
import { embeddingGuards, hotGuards, hotRise } from './settling-guards';
import { figure, type WorkingLine } from '../working';
import { stripLoad } from './strip-load';

// Unmarked is taken for ISO 898-1 class 4.6 until somebody reads or tests it.
export const MILD_YIELD_MPA = 240;
const SAME_LOAD = 0.005;
const UNDER_LEAST = 0.98;

/** Whether there is a clamp load to speak of at all. */
function clampGuards({ ladder, original, today }: GuardInput): readonly Guard[] {
  const { clamp, setting, printed_Nm } = ladder;
  const [own, before] = [today.prevailing?.high_Nm ?? 0, original.prevailing?.high_Nm ?? 0];
  if (clamp === 'nothing')
    return [
      own > 0
        ? never(
            'no-clamp',
            `The nut’s own torque is up to ${Nm(own)}, and the fastener gets ${Nm(setting.achieved_Nm)}: with the wrench’s error nothing certain is left to clamp with. Measure the running nut again, or read the figure again.`,
          )
        : never(
            'no-clamp',
            `The fastener gets ${Nm(setting.achieved_Nm)}: nothing to clamp with. Take a finer wrench.`,
          ),
    ];
  if (clamp === 'beyond-steel')
    return [
      never(
        'beyond-steel',
        `${Nm(setting.achieved_Nm)} on ${today.thread.designation} is more than the strongest steel bears (class 12.9 yields at ${STRONGEST_YIELD_MPA} MPa), whatever the bolt is. Read the figure and its unit again.`,
      ),
    ];
  return before > 0 && !(printed_Nm > before)
    ? [
        never(
          'printed-under-nut',
          `The printed ${Nm(printed_Nm)} is not above the original nut’s own torque of up to ${Nm(before)}: what it clamped cannot be told.`,
        ),
      ]
    : [];
}

/** How much of its yield a fastener is at: tension over its least section, with the twist of tightening. */
function workingOfYield({ ladder: { load }, today }: GuardInput, yield_MPa: number) {
  const { preload_N, stress_MPa, equivalent_MPa } = load.most;
  const shear_MPa = Math.sqrt(Math.max(0, equivalent_MPa ** 2 - stress_MPa ** 2) / 3);
  const line = (formula: string, ...figures: WorkingLine['figures']): WorkingLine => ({ formula, figures });
  return {
    working: [
      line(
        'σ = F at the 95th percentile / A',
        figure(preload_N),
        ' N / ',
        figure(preload_N / stress_MPa),
        ' mm² = ',
        figure(stress_MPa),
        ' MPa',
      ),
      line(
        'σe = √(σ² + 3 τ²), τ from the twist',
        '√(',
        figure(stress_MPa),
        '² + 3 × ',
        figure(shear_MPa),
        '²) = ',
        figure(equivalent_MPa),
        ' MPa',
      ),
      line(
        'σe / Rp',
        figure(equivalent_MPa),
        ' / ',
        figure(yield_MPa),
        ' = ',
        figure((100 * equivalent_MPa) / yield_MPa, 3),
        ' %',
      ),
    ],
    source: `Least section: ${today.shank_mm === undefined ? `stress area of ${today.thread.designation}` : 'shank or thread, the thinner'}. Yield: ${today.gradeRow?.source ?? 'class 4.6 of ISO 898-1, for want of its grade'}. Stress: VDI 2230. ${pct(LIMIT)} of yield as the limit: the utilisation that VDI 2230 tightens to by torque.`,
  };
}

/** The same end for everything that overloads: the 95th percentile of the clamp load. */
function yieldGuards(input: GuardInput): readonly Guard[] {
  const { today } = input;
  const { load, clamp } = input.ladder;
  if (clamp !== 'clamps') return [];
  const yield_MPa = today.yield_MPa ?? MILD_YIELD_MPA;
  const [most, middle] = [load.most.equivalent_MPa / yield_MPa, load.middle.equivalent_MPa / yield_MPa];
  const both = `${pct(most)} of its yield at the 95th percentile of its clamp load, ${pct(middle)} at the middle`;
  const beyondAll =
    load.most.equivalent_MPa > STRONGEST_YIELD_MPA && (today.yield_MPa ?? 0) <= STRONGEST_YIELD_MPA
      ? [
          stop(
            'beyond-strongest',
            `At the 95th percentile it would be past class 12.9 (${load.most.equivalent_MPa.toFixed(0)} of ${STRONGEST_YIELD_MPA} MPa), whatever its grade is.`,
          ),
        ]
      : [];
  if (most <= LIMIT) return beyondAll;
  const shown = workingOfYield(input, yield_MPa);
  if (today.yield_MPa === undefined)
    return [
      ...beyondAll,
      {
        ...ask(
          'grade-unknown',
          `Its grade is not known. Taken for mild steel (class 4.6), it would be at ${both}. Read the marks on it, or read the figure again.`,
        ),
        ...shown,
      },
    ];
  return [
    ...beyondAll,
    {
      ...(most > 1
        ? stop('over-yield', `The fastener would be past its yield: ${both}.`)
        : stop('over-limit', `The fastener would be at ${both}; ${pct(LIMIT)} is the limit.`)),
      ...shown,
    },
  ];
}

function leastGuards({ ladder: { band, least_N, clamp } }: GuardInput): readonly Guard[] {
  if (clamp !== 'clamps' || band.p5_N >= least_N * UNDER_LEAST) return [];
  return [
    ask(
      'under-least',
      `One in twenty may get less than ${kN(band.p5_N)}; the book’s own figure would leave ${kN(least_N)} at the least. A lubricant that scatters less, or measuring stretch, narrows it.`,
    ),
  ];
}

/** The section that yields first, mm². */
export const leastArea = ({ thread, shank_mm }: LadderFastener) =>
  Math.min(thread.stressArea_mm2, shank_mm === undefined ? Infinity : (Math.PI / 4) * shank_mm ** 2);

/** The parent's thread, its lead-in left out. */
function parentGuards(input: GuardInput): readonly Guard[] {
  const { ladder, parent, today } = input;
  const { metal, engagement_mm, thread } = parent ?? {};
  if (!metal || engagement_mm === undefined || !thread || !parent) return [];
  const guards: Guard[] = [];
  const name = metal.name.toLowerCase();
  const least = metal.engagement_d * thread.major_mm;
  if (engagement_mm < least)
    guards.push(
      ask(
        'engagement-short',
        `${mm(engagement_mm)} of engagement is short for ${name}: ${metal.engagement_d} diameters are ${mm(least)}.`,
      ),
    );
  const cold_N = stripLoad({ ...parent, metal, engagement_mm }, undefined);
  const hot_N = stripLoad({ ...parent, metal, engagement_mm }, parent.hottest_C);
  const most_N = ladder.load.most.preload_N;
  // What strips it hot is the load that is there when it is hot.
  const rise_N = hotRise(input);
  const bolt_N = today.yield_MPa === undefined ? undefined : today.yield_MPa * leastArea(today);
  const inside = parent.insert ? 'the insert in ' : '';
  if (cold_N < most_N)
    guards.push(
      stop(
        'strips',
        `The thread ${parent.insert ? 'round the insert ' : ''}in the ${name} would strip at ${kN(cold_N)}; the clamp load can reach ${kN(most_N)}.`,
      ),
    );
  else if (hot_N < most_N + rise_N)
    guards.push(
      stop(
        'strips-hot',
        `At ${parent.hottest_C ?? 0} °C ${inside}the ${name} holds ${kN(hot_N)}, cold ${kN(cold_N)}; the clamp load can reach ${kN(most_N + rise_N)}.`,
      ),
    );
  else if (bolt_N !== undefined && cold_N < bolt_N)
    guards.push(
      ask(
        'strips-first',
        `The parent’s thread would strip (${kN(cold_N)}) before the fastener yields (${kN(bolt_N)}): it will give no warning.`,
      ),
    );
  return guards;
}

/**
 * What the face presses with: a washer spreads it as far as it is thick on either side of the face. The face measured
 * is not asked here; one that was not is counted as not known.
 */
function pressureGuards({ ladder, underHead, washer, today, faceMeasured }: GuardInput): readonly Guard[] {
  if (!underHead || ladder.clamp !== 'clamps') return [];
  const { outer_mm, inner_mm } = today.bearing;
  const spread_mm =
    washer === undefined ? outer_mm : Math.min(washer.outer_mm, outer_mm + 2 * (washer.thickness_mm ?? 0));
  const outside = Math.max(outer_mm, spread_mm);
  // Under a washer it is the washer's own bore that leaves the ring.
  const inside = washer?.inner_mm ?? inner_mm;
  const pressure = ladder.band.p95_N / ((Math.PI / 4) * (outside ** 2 - inside ** 2));
  const face = faceMeasured ? '' : ' The face was not measured.';
  const said = `The head presses ${underHead.name.toLowerCase()} with up to ${pressure.toFixed(0)} MPa; ${underHead.pressureLow_MPa} to ${underHead.pressureHigh_MPa} is allowed. A larger and thicker hardened washer spreads it.${face}`;
  if (pressure > underHead.pressureHigh_MPa) return [stop('pressure', said)];
  return pressure > underHead.pressureLow_MPa ? [ask('pressure', said)] : [];
}

/** What is pressed flat under the joint: a gasket, or the flange itself. */
function gasketGuards({ gasket, ladder }: GuardInput): readonly Guard[] {
  if (gasket?.limit_MPa === undefined || ladder.clamp !== 'clamps') return [];
  const pressure = ladder.band.p95_N / gasket.area_mm2;
  return pressure > gasket.limit_MPa
    ? [
        stop(
          'crushes',
          `Each fastener presses its ${Number(gasket.area_mm2.toPrecision(3))} mm² of gasket with up to ${pressure.toFixed(0)} MPa; ${gasket.limit_MPa} MPa is what it bears.`,
        ),
      ]
    : [];
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

/** From this yield on a plating that was not baked breaks it later; of unknown grade it may. MPa */
export const HARDENED_MPA = 880;

/** What a fastener went through before it came here. */
function historyGuards({ takenBeyondYield, platedUnbaked, today }: GuardInput): readonly Guard[] {
  return [
    ...(takenBeyondYield
      ? [stop('once-only', 'It was taken beyond its yield before: it is used once, and a new one goes in.')]
      : []),
    ...(platedUnbaked && (today.yield_MPa ?? HARDENED_MPA) >= HARDENED_MPA
      ? [
          stop(
            'plated-unbaked',
            'A hardened bolt plated without baking may break days later, at rest. Bake it as its standard says within hours of plating, or take another.',
          ),
        ]
      : []),
  ];
}

/** What stands against the load itself: too little, too much, or a part that does not bear it. */
export const strengthGuards = (input: GuardInput): readonly Guard[] =>
  [
    clampGuards,
    yieldGuards,
    hotGuards,
    leastGuards,
    embeddingGuards,
    parentGuards,
    nutGuards,
    pressureGuards,
    gasketGuards,
    substituteGuards,
    historyGuards,
  ].flatMap((look) => look(input));
