import { plainFigure } from '@/core/units';
import type { Purpose } from '@/model/joint/tightening';
import {
  PLAIN_STEP,
  type Effect,
  type Step,
  type StepAid,
  type StepDetail,
  type StepKind,
  type Surface,
} from '@/model/order/step';

/** A step as it stands in the cells of its form. */
export interface StepCells extends Record<string, unknown> {
  readonly engineId: string;
  readonly kind: StepKind;
  readonly name: string;
  readonly branch: string;
  readonly jointId: string;
  readonly purpose: Purpose;
  readonly fitId: string;
  readonly leafId: string;
  readonly after: string[];
  readonly notUntil: string[];
  readonly words: string;
  readonly lies: string;
  readonly caution: string;
  readonly makes: string[];
  readonly putsIn: string;
  readonly takesOut: string;
  readonly surfaces: string;
  readonly kit: string;
  readonly people: string;
  readonly version: number;
}

const named = (text: string): readonly string[] =>
  text
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);

const surfacesIn = (text: string): readonly Surface[] =>
  text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const [what = '', on = '', much = '', sets = '', date = ''] = line.split(';').map((cell) => cell.trim());
      const useBy = date.replace(/^use by\s*/i, '');
      return { what, on, much, sets, ...(useBy !== '' && { useBy }) };
    });

const aidsIn = (text: string): readonly StepAid[] =>
  named(text).map((name) => ({ name: name.replace(/\s*\*$/, ''), inside: name.endsWith('*') }));

const cellsOf = (detail: StepDetail) => ({
  words: detail.words,
  lies: detail.lies,
  caution: detail.caution,
  makes: [...detail.makes],
  putsIn: detail.putsIn.map(({ name, inside }) => `${name}${inside ? '*' : ''}`).join(', '),
  takesOut: detail.takesOut.join(', '),
  surfaces: detail.surfaces
    .map(({ what, on, much, sets, useBy }) =>
      [what, on, much, sets, ...(useBy === undefined ? [] : [`use by ${useBy}`])].join('; '),
    )
    .join('\n'),
  kit: detail.kit.join(', '),
  people: String(detail.people),
});

/** The cells of a step that is changed. */
export const fieldsOf = (step: Step): StepCells => ({
  engineId: step.engineId,
  kind: step.kind,
  name: step.name,
  branch: step.branch,
  jointId: step.jointId ?? '',
  purpose: step.purpose ?? 'final',
  fitId: step.fitId ?? '',
  leafId: step.leafId ?? '',
  after: [...step.after],
  notUntil: [...step.notUntil],
  ...cellsOf(step.detail),
  version: step.version,
});

/** The cells of a new one, on the branch of the step that it is put behind. */
export const newStepFields = (engineId: string, behind: Step | undefined): StepCells => ({
  engineId,
  kind: 'part',
  name: '',
  branch: behind?.branch ?? '',
  jointId: '',
  purpose: 'final',
  fitId: '',
  leafId: '',
  after: [],
  notUntil: [],
  ...cellsOf(PLAIN_STEP),
  version: 0,
});

/** What a form sends. */
export function sentOf(cells: StepCells, step: Step | undefined, behind: Step | undefined) {
  const { engineId, kind, name, branch, jointId, purpose, fitId, leafId, after, notUntil, version } = cells;
  const detail: StepDetail = {
    words: cells.words,
    lies: cells.lies,
    caution: cells.caution,
    makes: cells.makes as Effect[],
    putsIn: aidsIn(cells.putsIn),
    takesOut: named(cells.takesOut),
    surfaces: surfacesIn(cells.surfaces),
    kit: named(cells.kit),
    people: plainFigure(cells.people) ?? NaN,
  };
  const own =
    kind === 'joint'
      ? { jointId, purpose, fitId: '' }
      : { jointId: '', purpose: null, fitId: kind === 'fit' ? fitId : '' };
  return {
    id: step?.id ?? null,
    version,
    engineId,
    kind,
    name,
    branch,
    ...own,
    leafId,
    after,
    notUntil,
    detail,
    ...(behind && { behind: behind.id }),
  };
}
