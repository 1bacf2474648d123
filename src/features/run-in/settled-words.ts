import { isKnown, type NutLoss, type Settled } from '@/model/heat/settled';
import type { Working } from '@/interface/shell/working-margin';

const pct = (share: number): string => String(Math.round(100 * share));

/** `moved 6°: 8 % (4 to 13)`; `did not move: at most 21 %`. */
export function lossWords(nut: NutLoss): string {
  switch (nut.is) {
    case 'moved':
      return `moved ${Number(nut.moved_deg.toFixed(1))}°: ${pct(nut.middle)}\u00a0% (${pct(nut.low)} to ${pct(nut.high)})`;
    case 'unmoved':
      return `did not move: at most ${pct(nut.high)}\u00a0%`;
    case 'broke-away':
      return `by the figure at which it broke away: ${pct(nut.middle)}\u00a0% (${pct(nut.low)} to ${pct(nut.high)})`;
    case 'locked':
      return 'a locker has set: says nothing';
    case 'stuck':
      return 'its thread was stuck: says nothing';
    case 'changed':
      return 'pulled with another thread or lubricant than the sheet has: says nothing';
    case 'no-slope':
      return 'moved, and what a degree is worth is not known';
    case 'unsaid':
      return 'not said how far it moved';
  }
}

/** The most that it may have lost, for the drawing over the cycles; undefined where nobody can say. */
export const mostLost = (nut: NutLoss | undefined): number | undefined => (isKnown(nut) ? nut.high : undefined);

const limitOf = ({ limit }: Pick<Settled, 'limit'>): string => `${pct(limit)} %`;

const named = (numbers: readonly number[]): string =>
  numbers.length === 1 ? `number ${numbers[0]}` : `numbers ${numbers.join(', ')}`;

const LOOK_FOR =
  'Look there for a gasket that weeps, a stud that pulls out, a head that lifts, a thread that gives way.';

/** Of which nuts nothing is known, and what would help. */
function unsaidWords(
  { unsaid, rounds }: Settled,
  numbers: (places: readonly number[]) => readonly number[],
): readonly string[] {
  const nuts = rounds.at(-1)?.nuts ?? [];
  const of = (is: NutLoss['is']) => numbers(unsaid.filter((place) => nuts[place]?.is === is));
  const [silent, bare, locked, other] = [of('unsaid'), of('no-slope'), of('locked'), of('changed')];
  return [
    ...(silent.length > 0
      ? [
          silent.length === nuts.length
            ? 'The last retorque says nothing of how far its nuts moved.'
            : `Of ${named(silent)} the last retorque says nothing.`,
        ]
      : []),
    ...(bare.length > 0
      ? [
          `At ${named(bare)} what a degree is worth is not known: read the joint’s own slope on its sheet, or give its grip there.`,
        ]
      : []),
    ...(other.length > 0
      ? [
          `At ${named(other)} the sheet has another thread or lubricant than it was pulled with: nothing is reckoned of it.`,
        ]
      : []),
    ...(locked.length > 0 ? [`At ${named(locked)} a locker has set: no pull tells what is left.`] : []),
  ];
}

/** Whether it has settled, in words. @param numberOf the number of a place as it is pulled */
export function verdictWords(settled: Settled, numberOf: (place: number) => number): readonly string[] {
  const numbers = (places: readonly number[]) => places.map(numberOf).sort((a, b) => a - b);
  if (settled.isSettled) return [`Below ${limitOf(settled)} at every nut, twice running: it has settled.`];
  const rest = settled.open.filter((place) => !settled.unsaid.includes(place));
  return [
    ...(settled.losing.length > 0
      ? [`Not settled: ${named(numbers(settled.losing))} lost more than ${limitOf(settled)} twice running. ${LOOK_FOR}`]
      : []),
    ...(rest.length > 0
      ? [`At ${named(numbers(rest))} the last retorque does not show that less than ${limitOf(settled)} was lost.`]
      : []),
    ...unsaidWords(settled, numbers),
    ...(settled.open.length + settled.losing.length === 0
      ? [`Below ${limitOf(settled)} at every nut, once. It counts as settled when it is so twice running.`]
      : []),
  ];
}

/** What a further retorque would gain, by how the losses shrank. */
export function furtherWords(further: NonNullable<Settled['further']>): string {
  const { ratio, ratioLow, ratioHigh, nextLoss, furtherGain } = further.fit;
  const share = (value: number) => `${(100 * value).toPrecision(2)} %`;
  const most = (values: readonly number[]) => Math.max(...values);
  return [
    `Each loss was ${ratio.toPrecision(2)} of the one before (95 %: ${ratioLow.toPrecision(2)} to ${ratioHigh.toPrecision(2)}), by ${further.places.length} that moved each time. `,
    `The next one would be ${share(most(nextLoss))} at the most of them`,
    furtherGain
      ? `, and going over it again and again would gain ${share(most(furtherGain))} altogether.`
      : '; they do not shrink, so that nothing is said of an end.',
    ratioHigh >= 1 ? ' So few cycles do not rule out that it goes on.' : '',
  ].join('');
}

const figure = (value: number, digits = 3) => ({ value, digits });

/** How the loss of the nut that lost most in the last round was reckoned. */
export function workingOfSettled(settled: Settled, name: string): Working | undefined {
  const nuts = settled.rounds.at(-1)?.nuts ?? [];
  const worst = nuts.filter(isKnown).sort((one, other) => other.high - one.high)[0];
  if (!worst) return undefined;
  return {
    title: `Has it settled: ${name}`,
    lines:
      worst.is === 'moved'
        ? [
            {
              formula: 'lost = R·θ/(T − Tp), at θ ± 3°',
              figures: [
                figure(worst.moved_deg),
                '° → ',
                figure(100 * worst.middle),
                ' % (',
                figure(100 * worst.low),
                ' to ',
                figure(100 * worst.high),
                ')',
              ],
            },
          ]
        : worst.is === 'broke-away'
          ? [
              {
                formula: 'left = (Tb − Tp)·(p + f)/((T − Tp)·(ρ·f ± p)), f = μt·ct + μh·ch, ρ = 1.1 to 1.3',
                figures: [
                  'lost ',
                  figure(100 * worst.middle),
                  ' % (',
                  figure(100 * worst.low),
                  ' to ',
                  figure(100 * worst.high),
                  ')',
                ],
              },
            ]
          : [
              {
                formula: 'lost ≤ 1 − c/(p + ρ·(μt·ct + μh·ch)), ρ = 1.3',
                figures: ['did not move: at most ', figure(100 * worst.high), ' %'],
              },
            ],
    remarks: [
      ['Which nut', 'the one that may have lost most at the last retorque'],
      ['R', 'read on this joint’s last pass; else that of its stiffness, the joint taken as stiff: so much at most'],
      ['Broke away', '+ p where it was tightened as it broke away, − p where it was slackened'],
      ['Did not move', 'a bound, and no measurement: static friction may have held it'],
      ['Settled', `the most that may be lost is under ${limitOf(settled)} at every nut, twice running`],
    ],
    caution: 'Clamp load goes on with the logarithm of hot time: below the limit is not finished.',
  };
}
