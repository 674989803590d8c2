import { spawn, type ChildProcess } from 'node:child_process';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../../src/data/testServer';

/** A Roan of a test's own: its own port and database, which outlives a kill and a restart. */
export class RoanServer {
  private child: ChildProcess | null = null;
  output = '';
  /** How it is started: `--network` for HTTPS. */
  args: string[] = [];
  /** What it is told beside its port and database. */
  told: Record<string, string> = {};
  /** Where it is started: another build lies elsewhere. */
  cwd = process.cwd();

  private constructor(
    readonly folder: string,
    readonly port: number,
  ) {}

  /** Starts a Roan with nothing in it, or with a copy of the demo yard; a season of lessons may lie behind that. */
  static async start(
    yard: 'empty' | 'demo' | 'season',
    folder?: string,
    { args = [], told = {} }: { args?: string[]; told?: Record<string, string> } = {},
  ): Promise<RoanServer> {
    const server = new RoanServer(folder ?? mkdtempSync(path.join(tmpdir(), 'roan-e2e-')), await freePort());
    server.args = args;
    server.told = told;
    if (yard !== 'empty') copyFileSync(madeBefore(yard), path.join(server.folder, 'roan.db'));
    await server.start();
    return server;
  }

  /** The process that answers. */
  get pid(): number {
    return this.child?.pid ?? 0;
  }

  get url(): string {
    return `${this.args.includes('--network') ? 'https' : 'http'}://127.0.0.1:${this.port}`;
  }

  get env(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      ROAN_PORT: String(this.port),
      ROAN_DATABASE_URL: `file:${path.join(this.folder, 'roan.db')}`,
      ...this.told,
    };
  }

  /** Starts it, and waits for the line that says where it is. */
  async start(): Promise<void> {
    const child = spawn(process.execPath, ['scripts/start.mjs', ...this.args], { env: this.env, cwd: this.cwd });
    this.child = child;
    await new Promise<void>((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        this.output += chunk.toString();
        const isThere = this.args.length > 0 ? `:${this.port}` : this.url;
        if (this.output.includes(' is at ') && this.output.includes(isThere)) resolve();
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.once('close', code => reject(new Error(`Roan ended with ${code}: ${this.output}`)));
    });
  }

  /** Ends it as a power cut would: no warning, no clean-up. */
  async kill(): Promise<void> {
    const child = this.child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
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

/** A file of the yards that were made before the first journey. */
function madeBefore(yard: 'demo' | 'season'): string {
  return path.join(process.env.ROAN_E2E_YARDS ?? '', `${yard}.db`);
}
