import type { WorkingLine } from '@/core/joint';
import { CLEARANCE_SCHOOLS } from '@/model/practice/clearance-schools';
import type { PlaceResult } from '@/core/fits';
import { value20_mm } from '@/model/fit/value-at-20c';
import type { FitState, FitPlace } from '@/model/fit/place-state';
import type { Working } from '@/interface/shell/working-margin';
import { METHOD_WORDS, STATE_WORDS } from '@/interface/words/fit-words';
import { fileLines, linesOfFigure, type Told } from './figure-working';

function pairLines(place: FitPlace, { fit, kind }: FitState, { size, gap }: Told): readonly WorkingLine[] {
  const { journal, bore, figures } = place.result;
  const pair = figures.find(({ method }) => method === 'micrometer');
  if (!journal || !bore || !pair) return [];
  const values = (part: 'journal' | 'bore') =>
    [...place.current.values()].filter((line) => line.part === part).map((line) => value20_mm(line, fit));
  const [inner, outer] = [values('journal'), values('bore')];
  const [a, b] = kind.interference ? [inner, outer] : [outer, inner];
  const [nameA, nameB] = (kind.interference ? kind.sides : [kind.sides[1], kind.sides[0]]).map((name) =>
    name.toLowerCase(),
  );
  return [
    {
      formula: `min = least ${nameA} − greatest ${nameB}`,
      figures: [`${size(Math.min(...a))} − ${size(Math.max(...b))} = ${gap(pair.least_mm)}`],
    },
    {
      formula: `max = greatest ${nameA} − least ${nameB}`,
      figures: [`${size(Math.max(...a))} − ${size(Math.min(...b))} = ${gap(pair.greatest_mm)}`],
    },
    ...(kind.along
      ? []
      : [
          {
            formula: `${kind.sides[0]}: out of round, taper`,
            figures: [`${gap(journal.outOfRound_mm)}, ${gap(journal.taper_mm)}`],
          },
        ]),
    ...(kind.along
      ? []
      : [
          {
            formula: `${kind.sides[1]}: out of round, taper`,
            figures: [`${gap(bore.outOfRound_mm)}, ${gap(bore.taper_mm)}`],
          },
        ]),
  ];
}

function wantedLines(
  { wanted, journal }: PlaceResult,
  { fit }: FitState,
  { span, size }: Told,
): readonly WorkingLine[] {
  const { rule } = fit.wanted;
  const diameter = journal?.mean_mm ?? fit.detail.nominal_mm;
  const ruled =
    rule && diameter !== undefined
      ? (wanted?.ruleSays ?? (wanted?.by === 'rule' ? wanted.hard : undefined))
      : undefined;
  return [
    ...(wanted?.by === 'limits'
      ? [{ formula: 'wanted', figures: [span(wanted.hard.min_mm, wanted.hard.max_mm)] }]
      : []),
    ...(ruled && rule && diameter !== undefined
      ? [
          {
            formula: `${wanted?.by === 'limits' ? 'the rule would say' : 'wanted'}: share × diameter${rule.floor_mm === undefined ? '' : `, not under ${span(rule.floor_mm, rule.floor_mm)}`}`,
            figures: [
              { value: rule.perDiameter[0], digits: 3 },
              ' to ',
              { value: rule.perDiameter[1], digits: 3 },
              ` × ${size(diameter)} = ${span(ruled.min_mm, ruled.max_mm)}`,
            ],
          },
        ]
      : []),
  ];
}

/** The school of house practice that gave what is wanted, with its reason. */
function schoolOf(
  page: string | undefined,
  by: 'limits' | 'rule' | 'nothing',
  hasTarget: boolean,
): readonly (readonly [string, string])[] {
  if (by === 'nothing') return [];
  const clearance = by === 'rule' ? 'rule' : hasTarget || page === undefined ? 'target' : 'page';
  return CLEARANCE_SCHOOLS.filter(({ value }) => value === clearance).map(
    ({ name, reason }) => ['Reason', `${name}: ${reason}`] as const,
  );
}

const SOURCES = {
  limits: 'limits of your own',
  rule: 'a rule on the measured diameter',
  nothing: 'nothing yet',
} as const;

/** By which methods; a plain length by whatever instrument it was read with. */
const readBy = ({ result, current }: FitPlace, { along }: FitState['kind']): string => {
  const instruments = [
    ...new Set([...current.values()].map(({ body }) => body.instrument.toLowerCase()).filter(Boolean)),
  ];
  return result.figures
    .map(({ method }) =>
      (method === 'length' || along) && instruments.length > 0 ? instruments.join(', ') : METHOD_WORDS[method],
    )
    .join(' and ');
};

/** The working of one place: what is wanted and from where, what was read, and what stands between. */
export function workingOfPlace(judged: FitState, place: FitPlace, told: Told): Working {
  const { result } = place;
  const { fit } = judged;
  const by = result.wanted?.by ?? (fit.wanted.limits ? 'limits' : fit.wanted.rule ? 'rule' : 'nothing');
  const page = judged.page?.says;
  const resolution = result.figures[0]?.doubt_mm ?? 0;
  const reports = [...new Set([...place.current.values()].flatMap((line) => line.body.reportedBy ?? []))];
  return {
    title: judged.places.length > 1 ? `${fit.name}, ${place.name}` : fit.name,
    lines: [
      ...pairLines(place, judged, told),
      ...result.figures.flatMap((one) => linesOfFigure(one, place, judged, told)),
      ...(result.stripDifference_mm === undefined
        ? []
        : [{ formula: 'strip − micrometers, means', figures: [told.gap(result.stripDifference_mm)] }]),
      ...wantedLines(result, judged, told),
      ...fileLines(place, judged.kind, told),
    ],
    remarks: [
      ['Wanted from', page ?? SOURCES[by]],
      ...(judged.page?.corrected ? [['Corrected since', judged.page.corrected.says] as const] : []),
      ...schoolOf(page, by, fit.wanted.target_mm !== undefined),
      ...(fit.wanted.target_mm === undefined ? [] : [['Own target', told.gap(fit.wanted.target_mm)] as const]),
      ...(resolution > 0
        ? [
            [
              'Uncertainty',
              `√(r1² + r2²) of what the two readings are read to = ${told.gap(resolution)} either way`,
            ] as const,
          ]
        : []),
      ['Read by', readBy(place, judged.kind) || 'nothing yet'],
      ...(reports.length > 0 ? [['Reported by', reports.join(', ')] as const] : []),
      ['Stands', `${STATE_WORDS[place.state].words}${place.why ? `. ${place.why}` : ''}`],
    ],
    ...(place.stripIn && { caution: 'A strip lies in: do not turn the crank.' }),
  };
}
