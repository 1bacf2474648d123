import type { Guard } from '@/core/joint';
import type { KindInputs } from './fastener-kind';
import type { JointInputs } from './joint-inputs';
import { todayFacts } from './joint-ladder';
import { kindAmong } from './kind-places';
import { isCorrection, sheetNow } from './sheet-changes';
import type { PlannedFigure, TighteningPlan } from './tightening-plan';

/** Fasteners as they were pulled, and what the sheet says of them; undefined where it no longer has their kind. */
interface PulledAndSheet {
  readonly pulled: Pick<PlannedFigure, 'films' | 'locking'>;
  readonly sheet: Pick<JointInputs, 'joint' | 'leaf'> | undefined;
}

/** The film in the thread: that which it was pulled in, or which the sheet was corrected to. Older plans do not say. */
function filmIn({ pulled, sheet }: PulledAndSheet): string | undefined {
  const now = sheet && sheetNow(sheet);
  const isCorrected = now && isCorrection(sheet.joint.detail.changeMeans, now);
  return isCorrected ? now.threadFilm : (pulled.films?.thread ?? now?.threadFilm);
}

/** How it is locked is not told from a figure, nor asked of a change: what either says is on the thread may be on it. */
const isLocked = (one: PulledAndSheet): boolean =>
  filmIn(one) === 'thread-locker' ||
  one.pulled.locking === 'compound' ||
  (one.sheet !== undefined && todayFacts(one.sheet).locking === 'compound');

/**
 * A locker that has set is broken by going over it: the nut is not pulled over it, it is taken off and locked anew. What
 * the sheet says today for another time is not on the thread that was pulled.
 */
export const lockerGuards = (figures: readonly PulledAndSheet[]): readonly Guard[] =>
  figures.some(isLocked)
    ? [
        {
          code: 'cured-locker',
          severity: 'stop',
          message:
            'A locker has set on this thread: pulling over it breaks it and reads too high. It is taken off, cleaned, and tightened afresh with new locker.',
        },
      ]
    : [];

/** What a round pulled, each kind with what the sheet says of it. */
export const pulledAndSheets = (
  plan: TighteningPlan,
  inputs: JointInputs,
  kinds: readonly KindInputs[],
): readonly PulledAndSheet[] => [
  { pulled: plan, sheet: inputs },
  ...(plan.kinds ?? []).map((pulled) => ({
    pulled,
    sheet: kinds.find(({ kind }) => kindAmong(plan.kinds, kind) === pulled)?.inputs,
  })),
];
