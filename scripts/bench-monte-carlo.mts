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
const ROUNDS = 15;
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

interface Drawn {
  readonly ms: number;
  readonly p5_N: number;
  readonly p50_N: number;
  readonly p95_N: number;
}

const once = (): Drawn => {
  const from = performance.now();
  const band = monteCarlo(input);
  return { ms: performance.now() - from, ...band };
};

function quickest(runs: readonly Drawn[]) {
  const sorted = [...runs].sort((a, b) => a.ms - b.ms);
  const [low, middle] = [sorted[0], sorted[Math.floor(sorted.length / 2)]];
  if (!low || !middle) throw new Error('Nothing was run.');
  return { low, middle_ms: middle.ms };
}

/** Prints the times and their ratio; where there is no C compiler, says so. */
export function benchMonteCarlo(): void {
  const program = join(mkdtempSync(join(tmpdir(), 'spanner-bench-')), 'monte-carlo');
  const compiled = spawnSync('cc', ['-O3', '-o', program, 'scripts/monte-carlo.c', '-lm'], { encoding: 'utf8' });
  if (compiled.status !== 0) {
    const ms = Math.min(...Array.from({ length: ROUNDS }, () => once().ms));
    return console.log(
      `\nmonte-carlo, ${SAMPLES.toLocaleString('en')} samples, best of ${ROUNDS}: ${ms.toFixed(0)} ms here. No C compiler (cc) was found, so there is nothing to compare it with.`,
    );
  }
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
    1,
  ];
  const inC = () => JSON.parse(execFileSync(program, numbers.map(String), { encoding: 'utf8' })) as Drawn;
  const rounds = Array.from({ length: ROUNDS }, () => ({ own: once(), c: inC() }));
  const [own, c] = [quickest(rounds.map((round) => round.own)), quickest(rounds.map((round) => round.c))];
  const apart = Math.max(
    ...(['p5_N', 'p50_N', 'p95_N'] as const).map((end) => Math.abs(own.low[end] / c.low[end] - 1)),
  );
  const [least, middle] = [own.low.ms / c.low.ms, own.middle_ms / c.middle_ms];
  console.log(
    `\nmonte-carlo, ${SAMPLES.toLocaleString('en')} samples, ${ROUNDS} runs in turn: ${own.low.ms.toFixed(0)} ms at best and ${own.middle_ms.toFixed(0)} in the middle here, ${c.low.ms.toFixed(0)} and ${c.middle_ms.toFixed(0)} in C with -O3: ${least.toFixed(2)} and ${middle.toFixed(2)} × C. The two agree to ${(apart * 1e6).toFixed(3)} parts in a million.`,
  );
}
