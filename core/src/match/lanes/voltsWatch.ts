import type { SettledPack } from '../../models/controller/sharedPack.js';
import type { LaneNow } from './laneNow.js';
import type { PackNow } from './packNow.js';
import type { DipOf } from '../../judge/ledger/robotRung.js';
import type { Dip, MatchResult } from './result.js';

/** Two moments of the drawing are at least this far apart, s, unless the current jumps by so much, A. */
const DRAWN_EVERY = 0.1;
const JUMP = 4;
/** Who draws less than this was not on, A. */
const ON = 0.5;
/** Two stretches under a floor this near are one, s; more than so many say no more. */
const ONE_STRETCH = 0.5;
const MOST_STRETCHES = 200;
/** Cells are harmed by being held under their floor, not by a moment: their volts are followed over about so long, s, typical. */
const CELLS_SETTLE = 10;

/** A stretch under a floor, while it goes on. */
interface BrownOut {
  readonly of: DipOf;
  readonly lane?: number;
  readonly from: number;
  to: number;
}

/** What a match shows of the pack's volts: dips, stretches under a floor, and the curve that is drawn. */
export class VoltsWatch {
  leastVolts = { volts: Infinity, time: 0 };
  peakCurrent = { current: 0, time: 0 };
  collapsedAt: number | undefined;
  /** The deepest dip and the last stretch of each floor: cells, boards, then one a lane. Looked at every step. */
  private readonly dips: (Dip | undefined)[] = [];
  private readonly lasts: (BrownOut | undefined)[] = [];
  private readonly brownOuts: BrownOut[] = [];
  private readonly times: number[] = [];
  private readonly volts: number[] = [];
  private readonly current: number[] = [];
  private readonly rest: number[] = [];
  private readonly taken: number[] = [];
  private readonly mainHeat: number[] = [];
  private readonly branchHeat: number[] = [];
  private readonly windings: number[][];
  private readonly drawn: number[][];
  private settledVolts = NaN;
  private seenAt = 0;

  constructor(private readonly lanes: readonly LaneNow[]) {
    this.drawn = [...lanes, undefined].map(() => []);
    this.windings = lanes.map(() => []);
  }

  see(time: number, settled: SettledPack, rest: number, pack: PackNow, stands: number): void {
    const { lanes } = this;
    const terminals = rest - pack.resistance * settled.current;
    if (terminals < this.leastVolts.volts) this.leastVolts = { volts: terminals, time };
    if (settled.current > this.peakCurrent.current) this.peakCurrent = { current: settled.current, time };
    if (settled.collapsed) this.collapsedAt ??= time;
    const caught = 1 - Math.exp(-(time - this.seenAt) / CELLS_SETTLE);
    this.settledVolts = Number.isNaN(this.settledVolts)
      ? terminals
      : this.settledVolts + caught * (terminals - this.settledVolts);
    this.seenAt = time;
    this.under('cells', undefined, time, this.settledVolts, pack.on.floor, rest, stands);
    this.under('boards', undefined, time, settled.volts, pack.on.brownOut, rest, stands);
    lanes.forEach(({ on, current }, i) => {
      if (on.lowestVoltage === undefined || current <= 0) return;
      const there = settled.volts - (on.branchResistance * current) / on.motors;
      this.under('controller', i, time, there, on.lowestVoltage, rest, stands);
    });
    this.draw(time, terminals, settled.current, rest, pack, stands);
  }

  private under(
    of: DipOf,
    lane: number | undefined,
    time: number,
    volts: number,
    floor: number,
    rest: number,
    stands: number,
  ): void {
    if (!Number.isFinite(floor)) return;
    const at = lane === undefined ? (of === 'cells' ? 0 : 1) : 2 + lane;
    const multiple = volts >= rest ? Infinity : (rest - floor) / (rest - volts);
    const before = this.dips[at];
    if (!before || multiple < before.multiple) {
      const who = [...this.lanes.map(({ current }, i) => ({ i, current })), { i: -1, current: stands }]
        .filter(({ current }) => current > ON)
        .sort((a, b) => b.current - a.current)
        .map(({ i }) => i);
      this.dips[at] = { of, lane, time, volts, floor, rest, multiple, who };
    }
    if (volts >= floor) return;
    const last = this.lasts[at];
    if (last && time - last.to < ONE_STRETCH) last.to = time;
    else if (this.brownOuts.length < MOST_STRETCHES) {
      this.lasts[at] = { of, lane, from: time, to: time };
      this.brownOuts.push(this.lasts[at]);
    }
  }

  private draw(time: number, terminals: number, current: number, rest: number, pack: PackNow, stands: number): void {
    const last = this.times.length - 1;
    const jumped = last < 0 || Math.abs(current - this.current[last]!) > JUMP;
    if (!jumped && time - this.times[last]! < DRAWN_EVERY) return;
    this.times.push(time);
    this.volts.push(terminals);
    this.current.push(current);
    this.rest.push(rest);
    this.taken.push(pack.taken);
    this.mainHeat.push(pack.mainHeat);
    this.branchHeat.push(this.lanes.reduce((most, { branchHeat }) => Math.max(most, branchHeat), 0));
    this.lanes.forEach(({ lumps }, i) => this.windings[i]!.push(lumps?.winding ?? 0));
    this.lanes.forEach((lane, i) => this.drawn[i]!.push(lane.current));
    this.drawn[this.lanes.length]!.push(stands);
  }

  result(): Pick<MatchResult, 'samples' | 'dips' | 'brownOuts' | 'collapsedAt' | 'leastVolts' | 'peakCurrent'> {
    const { times, volts, current, drawn: lanes, brownOuts, collapsedAt, leastVolts, peakCurrent } = this;
    const { rest, taken, mainHeat, branchHeat, windings } = this;
    return {
      samples: { times, volts, current, lanes, rest, taken, mainHeat, branchHeat, windings },
      dips: this.dips.filter((dip) => dip !== undefined).sort((a, b) => a.multiple - b.multiple),
      brownOuts,
      collapsedAt,
      leastVolts,
      peakCurrent,
    };
  }
}
