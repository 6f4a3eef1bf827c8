import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { etagOf, type PlanPage, type PlanSaved, type StoredPlan } from '@rough-gear/contract';
import type { Plan } from '@rough-gear/core';

export const root = fileURLToPath(new URL('../../', import.meta.url));

export const heron = JSON.parse(readFileSync(join(root, 'contract/demo/heron.json'), 'utf8')) as Plan;

/** The built server in a process of its own, on a folder of its own. */
export class Target {
  private constructor(
    readonly child: ChildProcess,
    readonly url: string,
    readonly folder: string,
  ) {}

  static async start(folder = newFolder(), environment: Readonly<Record<string, string>> = {}): Promise<Target> {
    const child = spawn(process.execPath, ['--import', './server/attack/stall.mjs', 'server/dist/main.mjs'], {
      cwd: root,
      env: { ...process.env, PORT: '0', ROUGH_GEAR_DATA: folder, ROUGH_GEAR_LOG: 'silent', ...environment },
      stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
    });
    let said = '';
    child.stderr?.on('data', (chunk: Buffer) => (said += chunk.toString()));
    const port = await new Promise<number>((resolve, reject) => {
      child.once('exit', (code) => reject(new Error(`the server stopped with ${code}: ${said.trim()}`)));
      child.stdout?.on('data', (chunk: Buffer) => {
        const found = /http:\S+:(\d+)/.exec(chunk.toString());
        if (found) resolve(Number(found[1]));
      });
    });
    return new Target(child, `http://127.0.0.1:${port}`, folder);
  }

  get port(): number {
    return Number(new URL(this.url).port);
  }

  get alive(): boolean {
    return this.child.exitCode === null && this.child.signalCode === null;
  }

  async get<T>(path: string): Promise<T> {
    return (await (await fetch(`${this.url}/api${path}`)).json()) as T;
  }

  send(method: string, path: string, body: unknown, headers: Readonly<Record<string, string>> = {}): Promise<Response> {
    return fetch(`${this.url}/api${path}`, {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      body: typeof body === 'string' || body instanceof Uint8Array ? body : JSON.stringify(body),
    });
  }

  async create(document: unknown): Promise<StoredPlan> {
    const answer = await this.send('POST', '/plans', { document });
    if (answer.status !== 201) throw new Error(`a sound plan was refused: ${await answer.text()}`);
    return (await answer.json()) as StoredPlan;
  }

  save(id: string, basedOn: number, document: unknown): Promise<Response> {
    return this.send('PUT', `/plans/${id}`, document, { 'If-Match': etagOf(basedOn) });
  }

  list = (query = ''): Promise<PlanPage> => this.get(`/plans?${query}`);

  /** The time an answer takes, ms. */
  async timed(path: string): Promise<number> {
    const began = performance.now();
    await (await fetch(`${this.url}/api${path}`)).text();
    return performance.now() - began;
  }

  /** How long its main thread stood still at most since this was last asked, ms, and how much memory it holds, bytes. */
  measured(): Promise<{ readonly stall: number; readonly memory: number }> {
    return new Promise((resolve) => {
      this.child.once('message', (said: { stall: number; memory: number }) => resolve(said));
      this.child.send('measure');
    });
  }

  async end(signal: NodeJS.Signals = 'SIGTERM'): Promise<number | null> {
    if (!this.alive) return this.child.exitCode;
    const ended = new Promise<number | null>((resolve) => this.child.once('exit', (code) => resolve(code)));
    this.child.kill(signal);
    return ended;
  }

  async dispose(): Promise<void> {
    await this.end('SIGKILL');
    rmSync(this.folder, { recursive: true, force: true });
  }
}

export const newFolder = (): string => mkdtempSync(join(tmpdir(), 'rough-gear-attack-'));

export const savedIn = async (answer: Response): Promise<PlanSaved> => (await answer.json()) as PlanSaved;
