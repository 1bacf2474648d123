import { readFileSync } from 'node:fs';
import { join } from 'node:path';

function builtAs(): string | undefined {
  if (process.env.NODE_ENV !== 'production') return undefined;
  try {
    return readFileSync(join(/* turbopackIgnore: true */ process.cwd(), '.next', 'BUILD_ID'), 'utf8').trim();
  } catch {
    return undefined;
  }
}

/**
 * Which build of the program this is; outside a build, this run of it. What one edition worked out another does not
 * trust.
 */
export const BUILD_ID: string = builtAs() ?? `run-${performance.timeOrigin}-${process.pid}`;
