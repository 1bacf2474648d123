import type { Rung } from '@/core/joint';
import type { Working } from '@/interface/shell/working-margin';

/** What stands in the margin of a rung. */
export const workingOfRung = (rung: Rung, caution?: string): Working => ({
  title: rung.title,
  lines: rung.working,
  remarks: [
    ['Source', rung.source],
    ['Reason', rung.school],
    ['Spread', rung.spread],
    ...(rung.override ? [['Leave out', rung.override.reason] as const] : []),
  ],
  caution,
});
