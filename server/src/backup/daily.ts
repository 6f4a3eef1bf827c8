import type { Database } from '../db/database.js';
import { listBackups, makeBackup } from './backups.js';

const DAY = 24 * 3600e3;
/** How often it is looked whether a day has passed, ms: a machine that sleeps is caught up with. */
const LOOK_EVERY = 15 * 60e3;

/** Makes a backup a day while the server runs, the first as soon as the newest is a day old. */
export class DailyBackups {
  private timer: NodeJS.Timeout | undefined;
  /** Why the last one could not be made; the next look tries again. */
  failure: string | undefined;

  constructor(
    private readonly data: Database,
    private readonly folder: string,
    private readonly now: () => Date = () => new Date(),
  ) {}

  start(): void {
    void this.look();
    this.timer = setInterval(() => void this.look(), LOOK_EVERY).unref();
  }

  stop(): void {
    clearInterval(this.timer);
  }

  async look(): Promise<void> {
    const last = listBackups(this.folder).find(({ kind }) => kind === 'daily');
    const now = this.now();
    if (last && now.getTime() - Date.parse(last.madeAt) < DAY) return;
    try {
      await makeBackup(this.folder, 'daily', (file) => this.data.copyTo(file), now);
      this.failure = undefined;
    } catch (problem) {
      this.failure = (problem as Error).message;
    }
  }
}
