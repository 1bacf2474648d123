import { preloadOf, torqueOf } from '../clamp';
import { tighteningArm, headArm, liftArm, threadArm, type TurnedFastener } from '../tightening-arm';
import { figure, type WorkingLine } from '../working';
import { rangeTorque } from './page-rungs';
import { inFilms, prevailingOf, type LadderFastener, type LadderInput, type Rung } from './rung';

const armWorking = (name: string, fastener: TurnedFastener): WorkingLine => ({
  formula: `${name} = P/2π + μt·d2/(2 cos β) + μh·${fastener.bearing.cone_deg === undefined ? 'Dm/2' : 'Dm/(2 sin φ)'}`,
  figures: [
    figure(liftArm(fastener.thread)),
    ' + ',
    figure(fastener.muThread, 3),
    ' × ',
    figure(threadArm(fastener.thread)),
    ' + ',
    figure(fastener.muHead, 3),
    ' × ',
    figure(headArm(fastener.bearing)),
    ' = ',
    figure(tighteningArm(fastener)),
    ' mm',
  ],
});

const less = (torque: number, tp: number): WorkingLine['figures'] =>
  tp > 0 ? ['(', figure(torque), ' − ', figure(tp), ')'] : [figure(torque)];
const plus = (tp: number): WorkingLine['figures'] => (tp > 0 ? [' + ', figure(tp)] : []);

/** Of a figure that is no more than the nut's own torque there is no clamp load to reckon, and it stays as it is. */
const clampsNothing = (torque: number, tp: number): WorkingLine => ({
  formula: 'T ≤ Tp: nothing is clamped',
  figures: [figure(torque), ' N·m ≤ ', figure(tp), ' N·m'],
});

interface Change {
  readonly from: TurnedFastener;
  readonly to: TurnedFastener;
  readonly tp: number;
}

/** Equal clamp load: T' = (T − Tp)·c'/c + Tp. */
function changed(value_Nm: number, { from, to, tp }: Change) {
  // A figure under the nut's own torque clamps nothing, before and after: it stays, and the guards stop it.
  const preload = preloadOf({ ...from, prevailing_Nm: tp }, value_Nm);
  const arms = [armWorking('c before', from), armWorking('c after', to)];
  if (preload <= 0) return { after: value_Nm, working: [...arms, clampsNothing(value_Nm, tp)] };
  const after = torqueOf({ ...to, prevailing_Nm: tp }, preload);
  const working: readonly WorkingLine[] = [
    ...arms,
    {
      formula: tp > 0 ? 'F = (T − Tp) / c before' : 'F = T / c before',
      figures: [...less(value_Nm, tp), ' N·m × 1000 / ', figure(tighteningArm(from)), ' mm = ', figure(preload), ' N'],
    },
    {
      formula: tp > 0 ? 'T after = F · c after + Tp' : 'T after = F · c after',
      figures: [
        figure(preload),
        ' N × ',
        figure(tighteningArm(to)),
        ' mm / 1000',
        ...plus(tp),
        ' = ',
        figure(after),
        ' N·m',
      ],
    },
  ];
  return { after, working };
}

export function filmRung(input: LadderInput, value_Nm: number): Rung {
  const { original, originalFilm, threadFilm, headFilm } = input;
  const { after, working } = changed(value_Nm, {
    from: inFilms(original, originalFilm, originalFilm),
    to: inFilms(original, threadFilm, headFilm),
    tp: prevailingOf(original),
  });
  const films =
    threadFilm.id === headFilm.id ? threadFilm.source : `Thread: ${threadFilm.source} Head: ${headFilm.source}`;
  const range = ({ low, high }: { low: number; high: number }) => `${low} to ${high}`;
  return {
    id: 'film',
    title: 'Lubricant',
    value_Nm: after,
    factor: after / value_Nm,
    working,
    source: `${films} Face: ${original.bearingSource}`,
    school: `equal clamp load; ${input.originalFilmReason}`,
    spread: `μ in the thread ${range(threadFilm.thread)}, under the head ${range(headFilm.head)} (5th to 95th percentile)`,
  };
}

const isOther = (a: LadderFastener, b: LadderFastener) =>
  a.thread.designation !== b.thread.designation ||
  a.bearing.outer_mm !== b.bearing.outer_mm ||
  a.bearing.inner_mm !== b.bearing.inner_mm ||
  a.bearing.cone_deg !== b.bearing.cone_deg ||
  a.grade !== b.grade;

export function fastenerRung(input: LadderInput, value_Nm: number): Rung | undefined {
  const { original, today, threadFilm, headFilm } = input;
  if (today === original || !isOther(original, today)) return undefined;
  const { after, working } = changed(value_Nm, {
    from: inFilms(original, threadFilm, headFilm),
    to: inFilms(today, threadFilm, headFilm),
    tp: prevailingOf(original),
  });
  return {
    id: 'fastener',
    title: 'Fastener',
    value_Nm: after,
    factor: after / value_Nm,
    working,
    source: `${original.name} → ${today.name}. Face: ${today.bearingSource}`,
    school: 'equal clamp load',
    spread: 'none of its own; its strength is judged beside the ladder',
  };
}

export function lockingRung({ original, today }: LadderInput, value_Nm: number): Rung | undefined {
  const [before, after] = [prevailingOf(original), prevailingOf(today)];
  if (before === after) return undefined;
  const clamps = value_Nm > before;
  const value = clamps ? value_Nm - before + after : value_Nm;
  const range = today.prevailing;
  return {
    id: 'locking',
    title: 'Locking',
    value_Nm: value,
    factor: value / value_Nm,
    working: [
      clamps
        ? {
            formula: 'T = T − Tp before + Tp today',
            figures: [figure(value_Nm), ' − ', figure(before), ' + ', figure(after), ' = ', figure(value), ' N·m'],
          }
        : clampsNothing(value_Nm, before),
    ],
    source: 'measured on the running nut, or the nut’s own sheet',
    school: 'the nut’s own torque clamps nothing, so it is added',
    spread: range ? `${range.low_Nm} to ${range.high_Nm} N·m, new to worn` : 'none',
  };
}

export function makerRung({ maker, today, rangeSchool }: LadderInput, value_Nm: number): Rung | undefined {
  if (!maker) return undefined;
  const torque = rangeTorque(maker.reading, rangeSchool);
  const turned = { ...inFilms(today, maker.film, maker.film), prevailing_Nm: prevailingOf(today) };
  const arm = tighteningArm(turned);
  const preload = preloadOf(turned, torque);
  return {
    id: 'maker',
    title: 'Its maker',
    value_Nm: torque,
    factor: torque / value_Nm,
    working: [
      { formula: `“${maker.printedText}”`, figures: [figure(torque), ' N·m replaces ', figure(value_Nm), ' N·m'] },
      preload > 0
        ? {
            formula: 'F in the maker’s lubricant',
            figures: [
              ...less(torque, prevailingOf(today)),
              ' N·m × 1000 / ',
              figure(arm),
              ' mm = ',
              figure(preload),
              ' N',
            ],
          }
        : clampsNothing(torque, prevailingOf(today)),
    ],
    source: maker.source,
    school: `the fastener’s maker overrules the manual, in the maker’s lubricant: ${maker.film.name}`,
    spread: 'as the maker prints it',
  };
}
