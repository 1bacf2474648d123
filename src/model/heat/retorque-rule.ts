import { assertStages, type RetorqueStage } from '@/core/heat';
import { DomainError, figureWithThousands } from '@/core/units';

interface Part {
  readonly words: readonly string[];
  readonly part: (value: number) => RetorqueStage;
  /** A whole number is asked for. */
  readonly whole?: boolean;
}

/** What may be asked for, by the words for it. */
const PARTS: readonly Part[] = [
  {
    words: ['cycle', 'cycles', 'heat', 'heats', 'heat cycle', 'heat cycles'],
    part: (cycles) => ({ cycles }),
    whole: true,
  },
  { words: ['mi', 'mile', 'miles'], part: (value) => ({ distance: { value, unit: 'mi' } }) },
  { words: ['km', 'kilometre', 'kilometres'], part: (value) => ({ distance: { value, unit: 'km' } }) },
  { words: ['h', 'hour', 'hours'], part: (hours) => ({ hours }) },
  { words: ['d', 'day', 'days'], part: (days) => ({ days }), whole: true },
  { words: ['week', 'weeks'], part: (weeks) => ({ days: 7 * weeks }), whole: true },
];

const PART = /^(first|[\d.,]+)\s*([a-z ]+)$/;

const unread = (text: string) =>
  new DomainError(
    'bad-field',
    `“${text}” was not read. Write it as: first heat; 300 miles or 30 days; 1,000 miles. Cycles, mi, km, hours and days are known.`,
    'again',
  );

function partOf(text: string): RetorqueStage {
  const [, figure = '', words = ''] = PART.exec(text.trim().toLowerCase()) ?? [];
  const found = PARTS.find((one) => one.words.includes(words.trim()));
  const value = figure === 'first' ? 1 : (figureWithThousands(figure) ?? Number.NaN);
  const isRead = found && Number.isFinite(value) && value > 0 && (!found.whole || Number.isInteger(value));
  if (!isRead) throw unread(text.trim());
  return found.part(value);
}

/**
 * After what a joint is gone over again, as a book or a gasket has it: `first heat; 300 miles or 30 days`. An empty text
 * is no rule.
 * @throws DomainError bad-field where a part of it is not read, or says one thing twice
 */
export function stagesTyped(text: string): readonly RetorqueStage[] {
  const stages = text
    .split(/[;\n]|,?\s+then\s+/i)
    .filter((one) => one.trim() !== '')
    .map((one) =>
      one.split(/\s+or\s+/i).reduce<RetorqueStage>((stage, typed) => {
        const part = partOf(typed);
        if (Object.keys(part).some((key) => key in stage))
          throw new DomainError('bad-field', `“${one.trim()}” says the same thing twice.`, 'again');
        return { ...stage, ...part };
      }, {}),
    );
  assertStages(stages);
  return stages;
}

const counted = (value: number, one: string, many: string) =>
  `${value.toLocaleString('en-GB')} ${value === 1 ? one : many}`;

/** One stage as it is written: `300 miles or 30 days`. */
export const stageText = ({ cycles, distance, hours, days }: RetorqueStage): string =>
  [
    ...(cycles === undefined ? [] : [cycles === 1 ? 'first heat' : `${cycles} heats`]),
    ...(distance
      ? [
          distance.unit === 'mi'
            ? counted(distance.value, 'mile', 'miles')
            : `${distance.value.toLocaleString('en-GB')} km`,
        ]
      : []),
    ...(hours === undefined ? [] : [counted(hours, 'hour', 'hours')]),
    ...(days === undefined ? [] : [counted(days, 'day', 'days')]),
  ].join(' or ');

/** A rule as it is written; typed anew it is the same. */
export const stagesText = (stages: readonly RetorqueStage[]): string => stages.map(stageText).join('; ');
