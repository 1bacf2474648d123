import type { Guard } from '@/core/joint';
import type { HeadMetal } from '@/core/heat';
import type { Joint } from './joint';
import type { PlannedFigure, TighteningPlan } from './tightening-plan';
import { lostByWarmth, shrinkingHead, type WarmHead } from './warm-head';

/** How the lubricant is found when a joint is gone over again. One coated afresh is pulled by its sheet. */
export const FILMS_FOUND = ['as-pulled', 'dried', 'stuck'] as const;
export type FilmFound = (typeof FILMS_FOUND)[number];

/**
 * A second pull in a film that was used, burnished or dried gives up to so much less at the same figure.
 * @source 0 to 15 %, as commonly found of a second pull in a used film
 */
export const DRIED_LESS = 0.15;

const kN = (newtons: number) => (newtons / 1000).toFixed(1);

/** What the lubricant, as it was found, does to the figure. */
export function filmGuards(found: FilmFound, { ladder: { band } }: Pick<PlannedFigure, 'ladder'>): readonly Guard[] {
  if (found === 'stuck')
    return [
      {
        code: 'film-stuck',
        severity: 'stop',
        message:
          'A stuck, rusted or varnished thread takes the torque itself, and the figure says nothing of the ' +
          'clamp load. Slacken it, clean and coat it, and pull it by its sheet.',
      },
    ];
  if (found === 'dried')
    return [
      {
        code: 'film-dried',
        severity: 'ask',
        message:
          band.p50_N > 0
            ? `The lubricant has dried or burnished: at the same figure the clamp load comes out up to ${100 * DRIED_LESS} % less, ${kN(band.p50_N * (1 - DRIED_LESS))} to ${kN(band.p50_N)} kN.`
            : `The lubricant has dried or burnished: at the same figure the clamp load comes out up to ${100 * DRIED_LESS} % less.`,
      },
    ];
  return [];
}

const withDried = <Figure extends PlannedFigure>(figure: Figure): Figure => {
  const { band, notes } = figure.ladder;
  const less = (share: number) => 1 - share * DRIED_LESS;
  return {
    ...figure,
    ladder: {
      ...figure.ladder,
      band: { ...band, p5_N: band.p5_N * less(1), p50_N: band.p50_N * less(0.5) },
      notes: [
        ...notes,
        {
          code: 'film-dried',
          message: `Gone over in a used film: its clamp load is told down to ${100 * DRIED_LESS} % less.`,
        },
      ],
    },
  };
};

/** A plan with the lubricant as it was found: in a dried one the same figure holds less, and by how much is not known. */
export function withFilmFound(plan: TighteningPlan, filmFound: FilmFound): TighteningPlan {
  const found = { ...plan, filmFound };
  return filmFound === 'dried'
    ? { ...withDried(found), ...(plan.kinds && { kinds: plan.kinds.map(withDried) }) }
    : found;
}

const GASKET_UNREAD =
  'What is printed on its gasket, or on its packet, of going over it was not read: some ' +
  'are not gone over, and the print governs over the manual.';

/** Some gaskets are not gone over: nobody has looked whether this is one of them. */
export const gasketGuards = ({ detail }: Pick<Joint, 'detail'>): readonly Guard[] =>
  detail.gasketSays === 'unread' ? [{ code: 'gasket-unread', severity: 'ask', message: GASKET_UNREAD }] : [];

/** A warm aluminium head shrinks more than its studs: what is set warm is partly lost when it has cooled. */
export function warmGuards(
  { retorqueSchool, detail }: Pick<Joint, 'retorqueSchool' | 'detail'>,
  headMetal: HeadMetal,
  cost: WarmHead | undefined,
  air_C: number,
): readonly Guard[] {
  const head = shrinkingHead(headMetal);
  if (retorqueSchool !== 'warm' || head === undefined || !detail.warm) return [];
  const over_K = detail.warm.head_C - air_C;
  const lost = cost?.is === 'known' ? lostByWarmth(cost, over_K) : undefined;
  const told =
    lost === undefined
      ? 'How much is not known: its grip was not given.'
      : `By the stiffness of its studs up to ${Math.round(100 * Math.min(1, lost))} % of its clamp load.`;
  return [
    {
      code: 'warm-aluminium',
      severity: 'stop',
      message: `${head} at ${detail.warm.head_C} °C is ${Math.round(over_K)} K over the air, and shrinks more than its studs: of what is set now a part is lost when it has cooled. ${told} The page that asks for it: ${detail.warm.page}.`,
    },
  ];
}
