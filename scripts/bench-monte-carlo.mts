// A million samples of clamp load here and in C with -O3, in one run.
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { usualBearingFace } from '@/core/fastener';
import { headArm, liftArm, threadArm } from '@/core/joint';
import { monteCarlo } from '@/core/statistics';
import { threadNamed } from '@/core/thread';

const SAMPLES = 1_000_000;
const ROUNDS = 7;
const SEED = 1936;
const thread = threadNamed('3/8 BSF');
const bearing = usualBearingFace(thread);
const film = { low: 0.1, middle: 0.13, high: 0.16 };
const input = {
  thread,
  bearing,
  torque_Nm: 40,
  muThread: film,
  muHead: film,
  wrenchAccuracy_pct: 4,
  graduation_Nm: 0.5,
  samples: SAMPLES,
  seed: SEED,
};

const once = () => {
  const from = performance.now();
  const band = monteCarlo(input);
  return { ms: performance.now() - from, band };
};

/** Prints the times and their ratio; where there is no C compiler, says so. */
export function benchMonteCarlo(): void {
  const program = join(mkdtempSync(join(tmpdir(), 'spanner-bench-')), 'monte-carlo');
  const compiled = spawnSync('cc', ['-O3', '-o', program, 'scripts/monte-carlo.c', '-lm'], { encoding: 'utf8' });
  const rounds = Array.from({ length: ROUNDS }, once);
  const own = rounds.reduce((best, one) => (one.ms < best.ms ? one : best));
  console.log(
    `\nmonte-carlo, ${SAMPLES.toLocaleString('en')} samples, best of ${ROUNDS}: ${own.ms.toFixed(0)} ms here`,
  );
  if (compiled.status !== 0)
    return console.log('No C compiler (cc) was found, so there is nothing to compare it with.');
  const numbers = [
    SAMPLES,
    SEED,
    liftArm(thread),
    threadArm(thread),
    headArm(bearing),
    film.low,
    film.middle,
    film.high,
    film.low,
    film.middle,
    film.high,
    input.torque_Nm,
    4,
    0.5,
    ROUNDS,
  ];
  const c = JSON.parse(execFileSync(program, numbers.map(String), { encoding: 'utf8' })) as {
    ms: number;
    p5_N: number;
    p50_N: number;
    p95_N: number;
  };
  const apart = Math.max(...(['p5_N', 'p50_N', 'p95_N'] as const).map((end) => Math.abs(own.band[end] / c[end] - 1)));
  console.log(
    `${c.ms.toFixed(0)} ms in C with -O3: ${(own.ms / c.ms).toFixed(2)} × C. The two agree to ${(apart * 1e6).toFixed(3)} parts in a million.`,
  );
}
