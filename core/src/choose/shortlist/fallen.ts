/** Why some candidates fell out. */
export interface FallenGroup {
  readonly reason: string;
  readonly candidates: number;
  /** Drives of which every total fell, and most for this. */
  readonly drives: number;
}

/** Counts why candidates fell out, and how many drives fell at every total. */
export class Fallen {
  private readonly counts = new Map<string, number>();
  private readonly drives = new Map<string, number>();
  private readonly ofDrive = new Map<string, Map<string, number>>();

  add(reason: string, drive: string, candidates: number): void {
    this.counts.set(reason, (this.counts.get(reason) ?? 0) + candidates);
    const mine = this.ofDrive.get(drive) ?? new Map<string, number>();
    mine.set(reason, (mine.get(reason) ?? 0) + candidates);
    this.ofDrive.set(drive, mine);
  }

  /** A drive that fell at every total for one reason. */
  wholly(reason: string): void {
    this.drives.set(reason, (this.drives.get(reason) ?? 0) + 1);
  }

  /** A drive that fell at every total, for several reasons: it counts for the most frequent. */
  whollyMostOf(drive: string): void {
    const [most] = [...(this.ofDrive.get(drive) ?? [])].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
    if (most) this.wholly(most[0]);
  }

  groups(): readonly FallenGroup[] {
    return [...this.counts]
      .map(([reason, candidates]) => ({ reason, candidates, drives: this.drives.get(reason) ?? 0 }))
      .sort((a, b) => b.candidates - a.candidates || (a.reason < b.reason ? -1 : 1));
  }
}
