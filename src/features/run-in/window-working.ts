import type { CoolingWindow } from '@/core/heat';
import type { Working } from '@/interface/shell/working-margin';

const BASIS: Readonly<Record<CoolingWindow['basis'], string>> = {
  readings: 'this run’s own readings',
  'one-reading': 'one reading; take another to make it sharper',
  'highest-at-stop': 'the highest temperature when it was stopped; a reading or two will make it sharper',
};

const TAU: Readonly<Record<CoolingWindow['tauFrom'], string>> = {
  'this-run': 'least squares through the readings',
  'own-earlier-run': 'what this engine did on earlier runs',
  usual: 'a usual figure for its kind, until it has shown its own',
};

const figure = (value: number, digits = 4) => ({ value, digits });

/** Where it counts as cold by its hours there is no curve to reckon with. */
const workingByHours = ({ ambient_C, target_C }: CoolingWindow, hours: number): Working => ({
  title: 'When the head is cold',
  lines: [
    { formula: 'from = stopped + hours', figures: [figure(hours), ' h'] },
    {
      formula: 'and no more above the air than twice what its metal allows',
      figures: [figure(target_C), ' − ', figure(ambient_C), ' = ', figure(target_C - ambient_C), ' K'],
    },
  ],
  remarks: [
    ['School', 'so many hours after it was stopped; head, block and studs are even by then'],
    ['Opens', 'by a reading at the head after those hours, never by the clock'],
  ],
  caution: 'Hot coolant under a cap scalds. Leave it shut until the head is cold.',
});

/** How the window of time was reckoned. */
export function workingOfWindow(window: CoolingWindow, ranTo: number): Working {
  if (window.byHours !== undefined) return workingByHours(window, window.byHours);

  const first = window.used[0];
  const last = window.used.at(-1);
  const target = window.target_C - window.ambient_C;
  const minutes = (ms: number) => (ms - ranTo) / 60_000;
  const two = first && last && first !== last;
  const above = (C: number) => figure(C - window.ambient_C);
  const late = two
    ? {
        formula: 'by = t1 + (t2 − t1)·(θx^−¼ − θ1^−¼)/(θ2^−¼ − θ1^−¼)',
        figures: [
          figure(first.minutes),
          ' + ',
          figure(last.minutes - first.minutes),
          ' × (',
          figure(target),
          '^−¼ − ',
          above(first.C),
          '^−¼)/(',
          above(last.C),
          '^−¼ − ',
          above(first.C),
          '^−¼) = ',
          figure(minutes(window.by) - window.errorBy_min - window.tailBy_min),
          ' min',
        ],
      }
    : {
        formula: 'by = t1 + 4τ·((θ1/θx)^¼ − 1)',
        figures: [
          figure(last?.minutes ?? 0),
          ' + 4 × ',
          figure(window.tau_min),
          ' × ((',
          above(last?.C ?? 0),
          '/',
          figure(target),
          ')^¼ − 1) = ',
          figure(minutes(window.by) - window.errorBy_min - window.tailBy_min),
          ' min',
        ],
      };
  return {
    title: 'When the head is cold',
    lines: [
      {
        formula: 'θx = what is still allowed above the air',
        figures: [figure(window.target_C), ' − ', figure(window.ambient_C), ' = ', figure(target), ' K'],
      },
      {
        formula: 'from = t + τ·ln(θ/θx)',
        figures: [
          figure(last?.minutes ?? 0),
          ' + ',
          figure(window.tau_min),
          ' × ln(',
          figure((last?.C ?? 0) - window.ambient_C),
          '/',
          figure(target),
          ') ≈ ',
          figure(minutes(window.from) + window.errorFrom_min),
          ' min',
        ],
      },
      late,
      {
        formula:
          'each end moved out by 1.645 σ of sensor (1 K) and air (0.5 K), the late one by a tenth more of what lies behind the last reading',
        figures: [
          figure(window.errorFrom_min, 3),
          ' and ',
          figure(window.errorBy_min, 3),
          ' + ',
          figure(window.tailBy_min, 3),
          ' min: ',
          figure(minutes(window.from)),
          ' to ',
          figure(minutes(window.by)),
          ' min',
        ],
      },
    ],
    remarks: [
      ['Rests on', BASIS[window.basis]],
      [
        'τ',
        window.pooledRuns === undefined
          ? TAU[window.tauFrom]
          : `${TAU[window.tauFrom]}, the middle of ${window.pooledRuns}${window.pooledAlike ? ', left to stand as this one is' : ''}`,
      ],
      [
        'Spread',
        'the early end is the exponential, the late end still air and a block that cools slowly, each with the errors of sensor and air',
      ],
      ['Opens', 'by a reading at the head, never by the clock'],
    ],
    caution: 'Hot coolant under a cap scalds. Leave it shut until the head is cold.',
  };
}
