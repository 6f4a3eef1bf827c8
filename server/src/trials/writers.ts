/** So long, ms, a device counts as writing after it has saved. */
const WRITES_FOR_MS = 20_000;
/** Of so many trials at once it is known who writes in them. */
const MOST = 1000;

/** Which device wrote last in a trial: nobody closes it under another one's hands without being told. */
export class Writers {
  private readonly last = new Map<string, { readonly from: string; readonly at: number }>();

  constructor(private readonly now: () => number = Date.now) {}

  wrote(trialId: string, from: string): void {
    this.last.delete(trialId);
    this.last.set(trialId, { from, at: this.now() });
    const [oldest] = this.last.keys();
    if (this.last.size > MOST && oldest !== undefined) this.last.delete(oldest);
  }

  othersWrite(trialId: string, from: string): boolean {
    const last = this.last.get(trialId);
    return last !== undefined && last.from !== from && this.now() - last.at < WRITES_FOR_MS;
  }
}
