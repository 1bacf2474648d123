import { reachFaults } from '@/core/fastener';
import { ask, mm, stop, type Guard, type GuardInput } from './guard';
import { filmGuards } from './film-guards';
import { strengthGuards } from './strength-guards';

function reachGuards({ reach }: GuardInput): readonly Guard[] {
  return reachFaults(reach).map(({ code, over_mm }) =>
    code === 'bottoms-nearly'
      ? ask(
          code,
          `It ends ${mm(over_mm)} above the bottom of its hole, less than a pitch: too near to be sure that it clamps. Measure both again.`,
        )
      : code === 'bottoms-in-hole'
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

function wrenchGuards({ ladder: { setting, notes }, wrench }: GuardInput): readonly Guard[] {
  const { name, unit, min, max, overdue, windowFloor } = wrench;
  const late = [
    ...notes.map(({ code, message }) => ask(code, message)),
    ...(overdue ? [ask('check-overdue', `${name} is overdue for its check.`)] : []),
  ];
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
  [pageGuards, strengthGuards, reachGuards, filmGuards, wrenchGuards].flatMap((look) => look(input));
