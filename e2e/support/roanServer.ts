import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** A Roan of a test's own: its own port and database, which outlives a kill and a restart. */
export class RoanServer {
  private child: ChildProcess | null = null;
  output = '';

  private constructor(
    readonly folder: string,
    readonly port: number,
    private readonly script: 'start' | 'demo',
    private readonly season: boolean,
  ) {}

  /** @param season - whether a season of lessons lies behind the demo yard */
  static async start(script: 'start' | 'demo', season = false): Promise<RoanServer> {
    const server = new RoanServer(mkdtempSync(path.join(tmpdir(), 'roan-e2e-')), await freePort(), script, season);
    await server.start();
    return server;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  get env(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      ROAN_PORT: String(this.port),
      ROAN_DATABASE_URL: `file:${path.join(this.folder, 'roan.db')}`,
      ROAN_DEMO_FILE: path.join(this.folder, 'roan.db'),
      ROAN_DEMO_SEASON: this.season ? '1' : '0',
    };
  }

  /** Starts it, and waits for the line that says where it is. */
  async start(): Promise<void> {
    const child = spawn(process.execPath, [`scripts/${this.script}.mjs`], { env: this.env });
    this.child = child;
    await new Promise<void>((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        this.output += chunk.toString();
        if (this.output.includes(` is at ${this.url}`)) resolve();
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.once('close', code => reject(new Error(`Roan ended with ${code}: ${this.output}`)));
    });
  }

  /** Ends it as a power cut would: no warning, no clean-up. */
  async kill(): Promise<void> {
    const child = this.child;
    if (!child || child.exitCode !== null) return;
    const closed = new Promise(resolve => child.once('close', resolve));
    child.kill('SIGKILL');
    await closed;
    this.child = null;
    this.output = '';
  }

  async stop(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}
