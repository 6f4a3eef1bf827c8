import { displayText } from '@rough-gear/contract/units';
import type { Dimension, Part, Quantity } from '@rough-gear/core';

const text = (quantity: Quantity | undefined, dimension: Dimension): string =>
  quantity ? displayText(quantity.si, dimension) : '?';

/** The figures by which a part is picked, in one line. */
export function partSummary(part: Part): string {
  switch (part.kind) {
    case 'motor':
      return part.data.form === 'sheet'
        ? `${text(part.data.ratedVoltage, 'voltage')} · ${text(part.data.freeSpeed, 'speed')} · ${text(part.data.stallTorque, 'torque')} · ${text(part.data.stallCurrent, 'current')} stall`
        : `${text(part.data.kv, 'kv')} · ${text(part.data.resistance, 'resistance')} · ${text(part.data.freeCurrent, 'current')} free`;
    case 'pack':
      return `${part.series}S${part.parallel}P · ${text(part.capacity, 'charge')} · ${part.dischargeLimit ? `${text(part.dischargeLimit, 'current')} out` : 'no discharge limit given'}`;
    case 'controller':
      return `${part.drives.join(', ')} · ${text(part.lowestVoltage, 'voltage')}–${text(part.highestVoltage, 'voltage')} · ${part.statorLimit ? `motor-side ${text(part.statorLimit, 'current')}` : 'no current limit'}${part.supplyLimit ? `, pack-side ${text(part.supplyLimit, 'current')}` : ''}`;
    case 'breaker':
      return `${{ snap: 'snap-action', main: 'main', fuse: 'blade fuse' }[part.type]} · ${text(part.rated, 'current')}`;
  }
}
