import { EXPANSIONS_UM_PER_MK, type ExpandingMetal } from '@/core/units';
import { atField, DomainError, plainFigure } from '@/core/units';
import { assertWanted, fitKind, placesOf, type FitKind, type Limits, type Method, type Wanted } from '@/core/fits';
import type { HousePractice } from '@/model/practice/house-practice';
import { readLength } from '@/core/print';
import type { Fit, FitDetail } from '@/model/fit/fit';
import type { Leaf } from '@/model/book/leaf';
import type { Joint } from '@/model/joint/joint';
import type { FitFields, ListFields, OwnFitFields } from './schema';

/** A length with its unit, in mm; `0` needs none. A bare figure is refused: 2 may be thou or mm. @throws DomainError */
export function lengthWithUnit(text: string, field: string): number {
  if (text.trim() === '0') return 0;
  return atField(field, () => {
    const { min_mm, max_mm } = readLength(text);
    if (min_mm !== max_mm) throw new DomainError('bad-field', 'Give one figure, not a range.', field);
    return min_mm;
  });
}

/** Two limits, or none where both are empty. @throws DomainError */
export function limitsOf(low: string, high: string, names: readonly [string, string]): Limits | undefined {
  if (low === '' && high === '') return undefined;
  if (low === '' || high === '')
    throw new DomainError('bad-field', 'Give both limits, or neither.', low === '' ? names[0] : names[1]);
  const limits = { min_mm: lengthWithUnit(low, names[0]), max_mm: lengthWithUnit(high, names[1]) };
  if (limits.min_mm > limits.max_mm)
    throw new DomainError('bad-field', `The limits are reversed: ${low} is above ${high}.`, names[1]);
  return limits;
}

function share(text: string, field: string): number {
  const value = plainFigure(text);
  if (value === undefined || !(value >= 0 && value < 0.1))
    throw new DomainError('bad-field', 'Give the rule as a share of the diameter, such as 0.00075.', field);
  return value;
}

function pageLimits(leaf: Leaf | undefined): Limits {
  if (!leaf) throw new DomainError('bad-field', 'Choose the entry that says what is wanted.', 'leafId');
  if (leaf.min_mm === null || leaf.max_mm === null)
    throw new DomainError('bad-field', 'That entry gives no length.', 'leafId');
  if (leaf.min_mm === leaf.max_mm)
    throw new DomainError(
      'bad-field',
      `The page gives one figure, “${leaf.printedText}”. Take it as your target, and give limits of your own.`,
      'leafId',
    );
  return { min_mm: leaf.min_mm, max_mm: leaf.max_mm };
}

function wantedOf(fields: FitFields, leaf: Leaf | undefined): Wanted {
  const { by, low, high, ruleLow, ruleHigh, floor, softLow, softHigh, target } = fields;
  const own = by === 'own' ? limitsOf(low, high, ['low', 'high']) : undefined;
  if (by === 'own' && !own)
    throw new DomainError('bad-field', 'Give the lower limit with its unit, such as 0.025 mm or 1 thou.', 'low');
  const limits = by === 'page' ? pageLimits(leaf) : own;
  const soft = limitsOf(softLow, softHigh, ['softLow', 'softHigh']);
  const hasRule = by === 'rule' || ((by === 'page' || by === 'own') && ruleLow !== '' && ruleHigh !== '');
  const wanted: Wanted = {
    ...(limits && { limits }),
    ...(hasRule && {
      rule: {
        perDiameter: [share(ruleLow, 'ruleLow'), share(ruleHigh, 'ruleHigh')],
        ...(floor !== '' && { floor_mm: lengthWithUnit(floor, 'floor') }),
      },
    }),
    ...(soft && { soft }),
    ...(target !== '' && { target_mm: lengthWithUnit(target, 'target') }),
    ...(fields.as === 'eccentricity' && { as: 'eccentricity' as const }),
  };
  assertWanted(wanted);
  return wanted;
}

const UNIT_OF_PACKET = (text: string) => (/mm/.test(text) ? 'mm' : 'thou');

function detailOf(fields: FitFields, before: FitDetail): FitDetail {
  const packet = limitsOf(fields.packetLow, fields.packetHigh, ['packetLow', 'packetHigh']);
  const expansion = {
    journal: EXPANSIONS_UM_PER_MK[fields.innerMetal as ExpandingMetal],
    bore: EXPANSIONS_UM_PER_MK[fields.outerMetal as ExpandingMetal],
  };
  return {
    ...(before.shim && { shim: before.shim }),
    ...(fields.nominal !== '' && { nominal_mm: lengthWithUnit(fields.nominal, 'nominal') }),
    ...(packet && { packet: { name: fields.packetName, ...packet, unit: UNIT_OF_PACKET(fields.packetLow) } }),
    expansion,
  };
}

/** A fit with its fields put in force. @throws DomainError */
export const alteredFit = (before: Fit, fields: FitFields, leaf: Leaf | undefined): Fit => ({
  ...before,
  name: fields.name,
  methods: fields.methods,
  stations: fields.stations,
  angles: fields.angles,
  jointId: fields.jointId,
  holds: fields.holds,
  leafId: fields.by === 'page' ? fields.leafId : null,
  wanted: wantedOf(fields, leaf),
  detail: detailOf(fields, before.detail),
});

/**
 * A fit with what its corrected leaf says in place of what it was taken from; a target that lies outside it is
 * refused. @throws DomainError
 */
export function correctedFit(before: Fit, leaf: Leaf | undefined): Fit {
  const wanted = { ...before.wanted, limits: pageLimits(leaf) };
  assertWanted(wanted);
  return { ...before, leafId: leaf?.id ?? null, wanted };
}

/** How a fit of this shape is measured by the shop's school. */
export function methodsBy({ shape }: FitKind, practice: HousePractice): readonly Method[] {
  switch (shape) {
    case 'pair':
      return practice.oilClearance === 'both'
        ? ['micrometer', 'strip']
        : practice.oilClearance === 'strip'
          ? ['strip']
          : ['micrometer'];
    case 'float':
      return practice.endFloat === 'feelers' ? ['feelers'] : ['dial'];
    case 'feelers':
      return ['feelers'];
    case 'length':
      return ['length'];
    case 'runout':
      return ['dial'];
  }
}

const isBearing = ({ rule, shape }: FitKind) => rule !== undefined && shape === 'pair';
const CAPS: Readonly<Record<string, RegExp>> = {
  'main-clearance': /main/i,
  'big-end-clearance': /rod|big.?end|con/i,
  'crank-float': /main/i,
};

/** The joint whose caps a fit is read under, where one is plainly it. */
const capsOf = (kind: FitKind, joints: readonly Joint[]) =>
  joints.find(({ name, pattern }) => pattern === 'caps' && CAPS[kind.id]?.test(name));

const newFit = (
  kind: FitKind,
  practice: HousePractice,
  joints: readonly Joint[],
): Omit<Fit, 'id' | 'engineId' | 'name' | 'places' | 'createdAt'> => {
  const caps = capsOf(kind, joints);
  const { rule } = kind;
  return {
    kind: kind.id,
    methods: isBearing(kind)
      ? methodsBy(kind, practice)
      : methodsBy(kind, { ...practice, oilClearance: 'micrometers' }),
    stations: kind.stations,
    angles: kind.angles,
    jointId: caps?.id ?? null,
    leafId: null,
    holds: caps ? [caps.id] : [],
    wanted: rule
      ? { rule: { perDiameter: rule.perDiameter, ...(rule.floor_mm !== undefined && { floor_mm: rule.floor_mm }) } }
      : {},
    detail: {},
    version: 1,
  };
};

type Made = Omit<Fit, 'id' | 'createdAt'>;

/** The fits chosen from the list, with their places on an engine of this make. */
export const listedFits = (
  { engineId, kinds, ...make }: ListFields,
  practice: HousePractice,
  joints: readonly Joint[],
): readonly Made[] =>
  kinds.flatMap((id) => {
    const kind = fitKind(id);
    return kind
      ? [{ ...newFit(kind, practice, joints), engineId, name: kind.name, places: placesOf(kind.at, make) }]
      : [];
  });

/** A fit of the user's own. @throws DomainError */
export function ownFit(
  { engineId, kind: id, name, places, stations, angles }: OwnFitFields,
  practice: HousePractice,
  joints: readonly Joint[],
): Made {
  const kind = fitKind(id);
  if (!kind) throw new DomainError('bad-field', 'That kind of fit is not known here.', 'kind');
  const names = places
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter(Boolean);
  if (new Set(names).size !== names.length)
    throw new DomainError('bad-field', 'Two places have the same name.', 'places');
  if (names.length > 60) throw new DomainError('bad-field', 'Sixty places at most; make another fit.', 'places');
  return { ...newFit(kind, practice, joints), engineId, name, places: names, stations, angles };
}
