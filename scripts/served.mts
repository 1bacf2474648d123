import { spawn } from 'node:child_process';
import { setTimeout as pause } from 'node:timers/promises';

/** Starts the built program on the shops of a folder, and waits until it answers; `stop` ends it at once. */
export async function served(folder: string, port: number, env: Readonly<Record<string, string>> = {}) {
  const address = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['scripts/server.mjs'], {
    stdio: 'ignore',
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
      SPANNER_DATA: folder,
      PORT: String(port),
      ...env,
    },
  });
  // No page: what a first page costs is measured.
  const answers = () =>
    fetch(`${address}/api/instruments/readings`).then(
      () => true,
      () => false,
    );
  for (let tries = 0; tries < 200 && !(await answers()); tries++) await pause(50);
  return { address, stop: () => void server.kill('SIGKILL') };
}
