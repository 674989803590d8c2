import { createHash } from 'node:crypto';
import { mkdirSync, realpathSync, rmSync } from 'node:fs';
import { connect, createServer, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DatabaseRefused } from './databaseRefused';

/**
 * Claims a database file for this process, so that a second server on it is refused. The claim is a local socket named
 * after the file: the system gives it back when the process ends, however it ends, which a lock file would not.
 * @throws {DatabaseRefused} another process holds the file
 */
export async function claimFile(filePath: string): Promise<{ release: () => Promise<void> }> {
  const address = socketAddress(filePath);
  const server = (await listen(address)) ?? (await listenOverStale(address));
  if (!server)
    throw new DatabaseRefused(
      `Another Roan is already running on ${filePath}. Use that one, stop it, or set ROAN_DATABASE_URL to another file.`,
    );
  server.unref();
  return { release: () => new Promise(resolve => server.close(() => resolve())) };
}

function socketAddress(filePath: string): string {
  mkdirSync(path.dirname(filePath), { recursive: true });
  const folder = realpathSync(path.dirname(filePath));
  const name = createHash('sha256')
    .update(path.join(folder, path.basename(filePath)))
    .digest('hex')
    .slice(0, 24);
  return process.platform === 'win32' ? `\\\\.\\pipe\\roan-${name}` : path.join(tmpdir(), `roan-${name}.sock`);
}

/** A listening server, or null if the address is taken. */
function listen(address: string): Promise<Server | null> {
  return new Promise((resolve, reject) => {
    const server = createServer(socket => socket.end());
    server.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EADDRINUSE' ? resolve(null) : reject(error),
    );
    server.listen(address, () => resolve(server));
  });
}

/** A killed process leaves its socket file behind; nobody answers it, so it may be taken over. */
async function listenOverStale(address: string): Promise<Server | null> {
  if (await answers(address)) return null;
  rmSync(address, { force: true });
  return listen(address);
}

function answers(address: string): Promise<boolean> {
  return new Promise(resolve => {
    const socket = connect(address);
    socket.once('connect', () => {
      socket.destroy();
      resolve(true);
    });
    socket.once('error', () => resolve(false));
  });
}
