import { writtenAt, type BuildLine, type LineOf } from './build-line';
import type { Bar } from './gate';
import { START_CHECKS, type StartCheck } from './start-checks';

const DAY_MS = 86_400_000;

/** After so many days the oil has drained from its galleries. */
export const OIL_DRAINS_DAYS = 30;

/** After so many days it is looked at again: oil drains away, fuel goes stale, and what holds for a day holds for one. */
const KEEPS_DAYS: Readonly<Partial<Record<StartCheck, number>>> = {
  primed: OIL_DRAINS_DAYS,
  fuel: 30,
  turned: 30,
  extinguisher: 1,
  doors: 1,
  watch: 1,
};

/** What a start that went wrong leaves in doubt. */
const IN_DOUBT: ReadonlySet<StartCheck> = new Set([
  'oil',
  'primed',
  'fuel',
  'turned',
  'extinguisher',
  'doors',
  'watch',
]);

const MINUTE_MS = 60_000;

/** Whether an answer is from before a start. Its hour is told to the minute: within one the later written is the later. */
function isBefore(at: string, start: LineOf<'start-wrong'>): boolean {
  const after_ms = Date.parse(at) - Date.parse(start.body.on);
  return after_ms < 0 || (after_ms < MINUTE_MS && writtenAt(start) > at);
}

export interface AnsweredCheck {
  readonly check: StartCheck;
  /** The line that answers it; taken back by striking it. Absent where nobody looked. */
  readonly line?: LineOf<'start-look'>;
  /** It was answered, and has to be looked at again: it is old, or the engine was started since and it went wrong. */
  readonly again?: 'old' | 'went-wrong';
}

export interface StartSheet {
  readonly checks: readonly AnsweredCheck[];
  /** Not looked at, or to be looked at again. */
  readonly open: readonly StartCheck[];
  /** Starts that went wrong, the oldest first. */
  readonly wrong: readonly LineOf<'start-wrong'>[];
  /** It was started all the same, or ran before: with what stood open then, and the reason. */
  readonly passed?: LineOf<'start-passed'>;
}

/**
 * The first start's sheet as it stands at an hour, from the lines of the order that stand. What nobody looked at is open:
 * nothing is taken for done.
 * @param now ms since 1970
 */
export function startSheetOf(lines: readonly BuildLine[], now: number): StartSheet {
  const wrong = lines.filter((line): line is LineOf<'start-wrong'> => line.kind === 'start-wrong');
  const checks = START_CHECKS.map((check): AnsweredCheck => {
    const line = lines.findLast(
      (one): one is LineOf<'start-look'> => one.kind === 'start-look' && one.body.check === check,
    );
    if (!line) return { check };
    const at = writtenAt(line);
    if (IN_DOUBT.has(check) && wrong.some((one) => isBefore(at, one))) return { check, line, again: 'went-wrong' };
    const days = KEEPS_DAYS[check];
    const isOld = days !== undefined && line.body.is === 'done' && now - Date.parse(at) > days * DAY_MS;
    return { check, line, ...(isOld && { again: 'old' as const }) };
  });
  const passed = lines.findLast((line): line is LineOf<'start-passed'> => line.kind === 'start-passed');
  return {
    checks,
    open: checks.filter(({ line, again }) => !line || again).map(({ check }) => check),
    wrong,
    ...(passed && { passed }),
  };
}

/** What the sheet says to the step that starts the engine. */
export function barsOfSheet({ checks, open, passed }: StartSheet): readonly Bar[] {
  if (open.length === 0 || passed) return [];
  const message = `The first start’s sheet: ${open.length} of ${checks.length} not looked at.`;
  return [{ code: 'start-sheet', message, absolute: false, to: { at: 'start' } }];
}
