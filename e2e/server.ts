import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
/** Names the folder in which the demo is made and judged already; without it a server makes the demo anew. */
export const SEED = 'ROUGH_GEAR_TEST_SEED';
/** Names the demo robots' ids, as JSON by name. */
export const DEMO_IDS = 'ROUGH_GEAR_TEST_DEMO';
const ADDRESS = /http:\/\/localhost:(\d+)/;

function copyOfSeed(): string {
  const folder = mkdtempSync(join(tmpdir(), 'rough-gear-'));
  const seed = process.env[SEED];
  if (seed) cpSync(seed, folder, { recursive: true });
  return folder;
}

/** The real application on a database of its own, with the demo in it. */
export class TestServer {
  private child: ChildProcess | undefined;
  port = 0;
  /** Settings beside those that every test has. */
  environment: Readonly<Record<string, string>> = {};

  constructor(readonly folder = copyOfSeed()) {}

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  /** Starts it, on the port it had before where there was one. */
  async start(): Promise<void> {
    const child = spawn(process.execPath, ['server/dist/main.mjs'], {
      cwd: root,
      env: {
        ...process.env,
        PORT: String(this.port),
        ROUGH_GEAR_DATA: this.folder,
        ROUGH_GEAR_LOG: 'silent',
        ...this.environment,
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    this.port = await new Promise<number>((resolve, reject) => {
      child.once('exit', (code) => reject(new Error(`the server stopped with ${code}`)));
      child.stdout.on('data', (chunk: Buffer) => {
        const found = ADDRESS.exec(chunk.toString());
        if (found) resolve(Number(found[1]));
      });
    });
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }

  async dispose(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
