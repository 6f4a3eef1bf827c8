import type { Quantity } from '../document/quantity.js';
import type { Figure, Lack, Need } from './figure.js';
import type { Place } from '../document/place.js';
import type { Memory, ReadFrom, Remembered } from './memory.js';
import { figureMeta, type FigureName } from './table.js';

/** A value that a rule worked out from other figures, and why. `undefined` where the rule lacks one itself. */
export interface Estimate {
  readonly value: number | undefined;
  readonly why: string;
  readonly source?: 'typical' | 'estimated';
  /** Why the rule gives none here, where that is not for want of another figure. */
  readonly lacking?: string;
}

/**
 * Gathers every figure a power path reads, with its value, source and place. A missing one that
 * nothing stands in for becomes NaN inside, and is listed under its need: limits look there first,
 * so that NaN never leaves the core.
 */
export class FigureCollector {
  private readonly byKey: Record<string, Figure> = {};
  private readonly inOrder: Figure[] = [];
  private readonly names: FigureName[] = [];

  /** The figures that the same reading gave before, in order: they are shown as they are, whatever is moved inside. */
  private again: { readonly figures: readonly Figure[]; next: number } | undefined;

  /** `adjust` moves a value after it was found: a build that is not quite the drawing's. */
  constructor(private readonly adjust?: (name: FigureName, value: number) => number) {}

  /** The figure's value; NaN where it is missing. */
  take(name: FigureName, quantity: Quantity | undefined, at: Place, estimate?: Estimate, key: string = name): number {
    return this.adjusted(name, this.record(name, quantity, at, key, estimate)) ?? NaN;
  }

  /** The figure's value; `undefined` where it is missing, which is fine. */
  takeOptional(name: FigureName, quantity: Quantity | undefined, at: Place): number | undefined {
    return this.adjusted(name, this.record(name, quantity, at, name));
  }

  /** Reads something, or remembers what the same gave before: its value and its figures. */
  once<T>(memory: Memory, from: ReadFrom, read: () => T): T {
    const before = memory.find(from);
    if (before && !this.moves(before)) {
      before.figures.forEach((figure, i) => this.put(figure, before.names[i]!));
      return before.value as T;
    }
    const already = this.inOrder.length;
    const { again } = this;
    this.again = before && { figures: before.figures, next: 0 };
    const value = read();
    this.again = again;
    // Figures that are moved a little are not the plan's.
    if (!this.adjust)
      memory.keep({ from, figures: this.inOrder.slice(already), names: this.names.slice(already), value });
    return value;
  }

  /** Whether any of the figures is another one in this build. */
  private moves({ figures, names }: Remembered): boolean {
    const { adjust } = this;
    return (
      adjust !== undefined && figures.some(({ value }, i) => value !== undefined && adjust(names[i]!, value) !== value)
    );
  }

  private put(figure: Figure, name: FigureName): void {
    this.byKey[figure.key] = figure;
    this.inOrder.push(figure);
    this.names.push(name);
  }

  private adjusted(name: FigureName, value: number | undefined): number | undefined {
    return value === undefined || !this.adjust ? value : this.adjust(name, value);
  }

  /** The figure that was read here before, where it still says the same. */
  private readBefore(key: string, quantity: Quantity | undefined, estimate?: Estimate): Figure | undefined {
    const { again } = this;
    const figure = again?.figures[again.next];
    if (!figure || figure.key !== key) return undefined;
    const same = quantity
      ? figure.value === quantity.si
      : !estimate || (figure.value === estimate.value && figure.from === estimate.why);
    if (same) again!.next++;
    return same ? figure : undefined;
  }

  private record(
    name: FigureName,
    quantity: Quantity | undefined,
    at: Place,
    key: string,
    estimate?: Estimate,
  ): number | undefined {
    const before = this.readBefore(key, quantity, estimate);
    if (before) {
      this.put(before, name);
      return before.value;
    }
    // Written out in full, and not spread together: this is what every keystroke does most of.
    const meta = figureMeta(name);
    const { fallback } = meta;
    let value: number | undefined;
    let source: Figure['source'] = 'missing';
    let from: string | undefined;
    let as: string | undefined;
    if (quantity) ({ si: value, source, from, as } = quantity);
    else if (estimate?.value !== undefined) {
      value = estimate.value;
      source = estimate.source ?? 'estimated';
      from = estimate.why;
    } else if (fallback && 'typical' in fallback) {
      value = fallback.typical;
      source = 'typical';
      from = fallback.why;
    }
    const figure: { -readonly [K in keyof Figure]: Figure[K] } = {
      key,
      label: meta.label,
      symbol: meta.symbol,
      dimension: meta.dimension,
      need: meta.need,
      at,
      optional: meta.optional ?? false,
      value,
      source,
    };
    if (as !== undefined) figure.as = as;
    if (quantity?.error !== undefined) figure.error = quantity.error;
    if (quantity?.trial !== undefined) figure.trial = quantity.trial;
    if (from !== undefined) figure.from = from;
    else if (value === undefined && estimate?.lacking !== undefined) figure.from = estimate.lacking;
    this.put(figure, name);
    return value;
  }

  figures(): Readonly<Record<string, Figure>> {
    return this.byKey;
  }

  /** What is missing, by need. */
  lacks(): Readonly<Partial<Record<Need, readonly Lack[]>>> {
    const result: Partial<Record<Need, Lack[]>> = {};
    for (const figure of this.inOrder) {
      const { key, label, at, need, value, optional, from } = figure;
      if (value !== undefined || optional) continue;
      // A figure that was read again and found counts as found.
      if (this.byKey[key] === figure) (result[need] ??= []).push({ key, label, at, why: from });
    }
    return result;
  }
}
