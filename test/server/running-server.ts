import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';

export interface RunningServer {
  readonly address: string;
  readonly process: ChildProcess;
  /** It looks at another folder from now on. */
  readonly moveTo: (dataFolder: string) => Promise<void>;
  readonly kill: () => Promise<void>;
  /** Stops it as a person does. */
  readonly stop: () => Promise<void>;
}

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Starts the built server on a folder of its own, and waits until it answers. */
export async function startServer(
  dataFolder: string,
  port: number,
  env: Record<string, string> = {},
): Promise<RunningServer> {
  const child = spawn(process.execPath, ['--import', './test/server/folder-by-message.mjs', 'scripts/server.mjs'], {
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      SPANNER_DATA: dataFolder,
      NEXT_TELEMETRY_DISABLED: '1',
      PORT: String(port),
      ...env,
    },
  });
  const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 400; tries++) {
    const ready = await fetch(`${address}/api/instruments/readings`).then(
      () => true,
      () => false,
    );
    if (ready)
      return {
        address,
        process: child,
        moveTo: (folder) =>
          new Promise((resolve, reject) => {
            child.once('message', () => resolve());
            child.send(folder, (error) => error && reject(error));
          }),
        kill: () => (child.kill('SIGKILL'), gone),
        stop: () => (child.kill('SIGTERM'), gone),
      };
    await pause(25);
  }
  child.kill('SIGKILL');
  throw new Error('the server did not answer; is there a build?');
}
