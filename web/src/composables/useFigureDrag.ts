import { quantityOf, type Quantity } from '@rough-gear/core';
import { usePlan } from '../stores/plan.js';
import { useMechanism } from './useMechanism.js';

export interface FigureDrag {
  readonly value: number | undefined;
  begin(): void;
  preview(si: number): void;
  end(): void;
  /** One step of the keyboard: its own gesture. */
  set(si: number): void;
}

/** A figure of the open mechanism that is dragged on a drawing: one gesture is one undo step. `write` is how it is kept. */
export function useFigureDrag(key: string, write: (si: number) => { si: number; as: string }): FigureDrag {
  const { path } = useMechanism();
  const plan = usePlan();
  let at = path.value.figures[key]?.at;
  let last: Quantity | undefined;
  const quantity = (si: number): Quantity => {
    const { si: rounded, as } = write(si);
    return quantityOf(rounded, as);
  };
  return {
    get value() {
      return path.value.figures[key]?.value;
    },
    begin() {
      at = path.value.figures[key]?.at;
      last = undefined;
      plan.begin();
    },
    preview(si) {
      if (!at) return;
      last = quantity(si);
      plan.preview([{ at, to: last }]);
    },
    end() {
      if (at && last) plan.commit([{ at, to: last }]);
      else plan.cancel();
    },
    set(si) {
      const place = path.value.figures[key]?.at;
      if (place) plan.commit([{ at: place, to: quantity(si) }]);
    },
  };
}

/** An angle to whole degrees. */
export function wholeDegrees(si: number): { si: number; as: string } {
  const degrees = Math.round((si * 180) / Math.PI);
  return { si: (degrees * Math.PI) / 180, as: `${degrees}°` };
}

/** A length to centimetres, to millimetres under 20 cm. */
export function roundLength(si: number): { si: number; as: string } {
  const step = si < 0.2 ? 0.001 : 0.01;
  const rounded = Number((Math.max(1, Math.round(si / step)) * step).toPrecision(6));
  return { si: rounded, as: rounded < 0.2 ? `${Math.round(rounded * 1000)} mm` : `${rounded} m` };
}
