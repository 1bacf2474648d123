import { USUAL_PRACTICE, schoolWords, type WorkingLine } from '@/core/joint';
import type { PlaceResult, PlaceFigure } from '@/core/fits';
import { value20_mm, type FitStanding, type PlaceStanding } from '@/db/fit-standing';
import type { Working } from '@/interface/shell/working-margin';
import { METHOD_WORDS, STATE_WORDS } from '@/interface/words/fit-words';

/** Figures of the margin in the system that is shown. */
export interface Told {
  readonly small: (mm: number) => string;
  readonly gap: (mm: number) => string;
  readonly size: (mm: number) => string;
  readonly span: (low_mm: number, high_mm: number) => string;
}

function pairLines(place: PlaceStanding, { fit, kind }: FitStanding, { size, gap }: Told): readonly WorkingLine[] {
  const { journal, bore, figures } = place.result;
  const pair = figures.find(({ method }) => method === 'micrometer');
  if (!journal || !bore || !pair) return [];
  const values = (part: 'journal' | 'bore') => [...place.current.values()].filter((line) => line.part === part).map((line) => value20_mm(line, fit));
  const [inner, outer] = [values('journal'), values('bore')];
  const [a, b] = kind.interference ? [inner, outer] : [outer, inner];
  const [nameA, nameB] = (kind.interference ? kind.sides : [kind.sides[1], kind.sides[0]]).map((name) => name.toLowerCase());
  return [
    { formula: `min = least ${nameA} − greatest ${nameB}`, figures: [`${size(Math.min(...a))} − ${size(Math.max(...b))} = ${gap(pair.least_mm)}`] },
    { formula: `max = greatest ${nameA} − least ${nameB}`, figures: [`${size(Math.max(...a))} − ${size(Math.min(...b))} = ${gap(pair.greatest_mm)}`] },
    ...(kind.along ? [] : [{ formula: `${kind.sides[0]}: out of round, taper`, figures: [`${gap(journal.outOfRound_mm)}, ${gap(journal.taper_mm)}`] }]),
    ...(kind.along ? [] : [{ formula: `${kind.sides[1]}: out of round, taper`, figures: [`${gap(bore.outOfRound_mm)}, ${gap(bore.taper_mm)}`] }]),
  ];
} // prettier-ignore

const figureLine = ({ method, least_mm, greatest_mm, mean_mm, uncrushed_mm }: PlaceFigure, { gap, span }: Told): readonly WorkingLine[] => {
  if (uncrushed_mm !== undefined)
    return [
      { formula: method === 'dial' ? 'float = pulled − pushed; their mean' : 'middle of what goes and what does not', figures: [gap(uncrushed_mm)] },
      { formula: 'less what the gasket loses, most and least', figures: [span(least_mm, greatest_mm)] },
    ];
  switch (method) {
    case 'dial':
      return [
        {
          formula: 'float = pulled − pushed; their mean',
          figures: [`${gap(mean_mm)}${least_mm === greatest_mm ? '' : `, spread ${gap(greatest_mm - least_mm)}`}`],
        },
      ];
    case 'feelers':
      return [{ formula: 'between what goes and what does not', figures: [span(least_mm, greatest_mm)] }];
    case 'strip':
      return [{ formula: 'strip, both ends', figures: [span(least_mm, greatest_mm)] }];
    case 'runout':
      return [
        { formula: 'full indicator reading = highest − lowest', figures: [gap(greatest_mm)] },
        { formula: 'eccentricity = half of it', figures: [gap(greatest_mm / 2)] },
      ];
    case 'length':
      return [{ formula: 'as read', figures: [span(least_mm, greatest_mm)] }];
    case 'micrometer':
      return [];
  }
};

function wantedLines({ wanted, journal }: PlaceResult, { fit }: FitStanding, { span, size }: Told): readonly WorkingLine[] {
  const { rule } = fit.wanted;
  const diameter = journal?.mean_mm ?? fit.detail.nominal_mm;
  const ruled = rule && diameter !== undefined ? (wanted?.ruleSays ?? (wanted?.by === 'rule' ? wanted.hard : undefined)) : undefined;
  return [
    ...(wanted?.by === 'limits' ? [{ formula: 'wanted', figures: [span(wanted.hard.min_mm, wanted.hard.max_mm)] }] : []),
    ...(ruled && rule && diameter !== undefined
      ? [
          {
            formula: `${wanted?.by === 'limits' ? 'the rule would say' : 'wanted'}: share × diameter${rule.floor_mm === undefined ? '' : `, not under ${span(rule.floor_mm, rule.floor_mm)}`}`,
            figures: [{ value: rule.perDiameter[0], digits: 3 }, ' to ', { value: rule.perDiameter[1], digits: 3 }, ` × ${size(diameter)} = ${span(ruled.min_mm, ruled.max_mm)}`],
          },
        ]
      : []),
  ];
} // prettier-ignore

/** The school of house practice that gave what is wanted, with its reason. */
function schoolOf(page: string | undefined, by: 'limits' | 'rule' | 'nothing', hasTarget: boolean): readonly (readonly [string, string])[] {
  if (by === 'nothing') return [];
  const clearance = by === 'rule' ? 'rule' : hasTarget || page === undefined ? 'target' : 'page';
  const { name, reason } = schoolWords({ ...USUAL_PRACTICE, clearance }, 'clearance');
  return [['School', `${name}: ${reason}`]];
}

const SOURCES = { limits: 'limits of your own', rule: 'a rule on the measured diameter', nothing: 'nothing yet' } as const;

/** By which methods; a plain length by whatever instrument it was read with. */
const readBy = ({ result, current }: PlaceStanding, { along }: FitStanding['kind']): string => {
  const instruments = [...new Set([...current.values()].map(({ body }) => body.instrument.toLowerCase()).filter(Boolean))];
  return result.figures
    .map(({ method }) => ((method === 'length' || along) && instruments.length > 0 ? instruments.join(', ') : METHOD_WORDS[method]))
    .join(' and ');
};

/** The working of one place: what is wanted and from where, what was read, and what stands between. */
export function workingOfPlace(standing: FitStanding, place: PlaceStanding, told: Told): Working {
  const { result } = place;
  const { fit } = standing;
  const by = result.wanted?.by ?? (fit.wanted.limits ? 'limits' : fit.wanted.rule ? 'rule' : 'nothing');
  const page = standing.page?.says;
  const resolution = result.figures[0]?.doubt_mm ?? 0;
  const reports = [...new Set([...place.current.values()].flatMap((line) => line.body.reportedBy ?? []))];
  return {
    title: standing.places.length > 1 ? `${fit.name}, ${place.name}` : fit.name,
    lines: [
      ...pairLines(place, standing, told),
      ...result.figures.flatMap((one) => figureLine(one, told)),
      ...(result.stripDifference_mm === undefined ? [] : [{ formula: 'strip − micrometers, means', figures: [told.gap(result.stripDifference_mm)] }]),
      ...wantedLines(result, standing, told),
    ],
    remarks: [
      ['Wanted from', page ?? SOURCES[by]],
      ...(standing.page?.corrected ? [['Corrected since', standing.page.corrected.says] as const] : []),
      ...schoolOf(page, by, fit.wanted.target_mm !== undefined),
      ...(fit.wanted.target_mm === undefined ? [] : [['Own target', told.gap(fit.wanted.target_mm)] as const]),
      ...(resolution > 0 ? [['Doubt', `√2 × resolution = ${told.gap(resolution)} either way`] as const] : []),
      ['Read by', readBy(place, standing.kind) || 'nothing yet'],
      ...(reports.length > 0 ? [['Reported by', reports.join(', ')] as const] : []),
      ['Stands', `${STATE_WORDS[place.state].words}${place.why ? `. ${place.why}` : ''}`],
    ],
    ...(place.stripIn && { caution: 'A strip lies in: do not turn the shaft.' }),
  };
} // prettier-ignore
