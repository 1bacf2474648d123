import { standing, writtenAt, type BuildLine } from './build-line';

/** A joint that was opened up again in the order of the build: what was pulled and read before holds no more. */
export interface Opening {
  readonly jointId: string;
  readonly at: string;
}

/** Every opening that stands. The line itself says of which joint: a step may be tied elsewhere, or set aside, since. */
export const openingsOf = (lines: readonly BuildLine[]): readonly Opening[] =>
  standing(lines).flatMap((line) =>
    line.kind === 'undone' && line.body.jointId !== undefined
      ? [{ jointId: line.body.jointId, at: writtenAt(line) }]
      : [],
  );

/** When a joint was opened up last; empty where it never was. */
export const openedAt = (openings: readonly Opening[], jointId: string): string =>
  latest(openings.filter((one) => one.jointId === jointId).map(({ at }) => at));

/** The last of some times; empty where there is none. */
export const latest = (times: readonly (string | undefined)[]): string =>
  times.reduce<string>((last, time) => (time !== undefined && time > last ? time : last), '');
