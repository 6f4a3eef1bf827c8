import type { Dimension, Part, Quantity } from '@rough-gear/core';

/** The figures by which a part is picked, in one line; `show` words them in the units a person likes. */
export function partSummary(part: Part, show: (si: number, dimension: Dimension) => string): string {
  const text = (quantity: Quantity | undefined, dimension: Dimension): string =>
    quantity ? show(quantity.si, dimension) : '?';
  switch (part.kind) {
    case 'motor':
      if (part.data.form === 'turns')
        return `${part.data.turns?.as ?? '?'} turns · beside ${part.data.referenceTurns?.as ?? '?'} turns of ${text(part.data.referenceKv, 'kv')}`;
      return part.data.form === 'sheet'
        ? `${text(part.data.ratedVoltage, 'voltage')} · ${text(part.data.freeSpeed, 'speed')} · ${text(part.data.stallTorque, 'torque')} · ${text(part.data.stallCurrent, 'current')} stall`
        : `${text(part.data.kv, 'kv')} · ${text(part.data.resistance, 'resistance')} · ${text(part.data.freeCurrent, 'current')} free`;
    case 'pack':
      if (part.chemistry === 'bench')
        return `${text(part.voltage, 'voltage')} held · ${part.dischargeLimit ? `${text(part.dischargeLimit, 'current')} at most` : 'no current limit given'}`;
      return `${part.series}S${part.parallel}P · ${text(part.capacity, 'charge')} · ${part.dischargeLimit ? `${text(part.dischargeLimit, 'current')} out` : 'no discharge limit given'}`;
    case 'controller':
      return `${part.drives.join(', ')} · ${text(part.lowestVoltage, 'voltage')}–${text(part.highestVoltage, 'voltage')} · ${part.statorLimit ? `motor-side ${text(part.statorLimit, 'current')}` : 'no current limit'}${part.supplyLimit ? `, pack-side ${text(part.supplyLimit, 'current')}` : ''}`;
    case 'stepper':
      return `${text(part.holdingTorque, 'torque')} · ${text(part.ratedCurrent, 'current')} a phase · ${text(part.phaseResistance, 'resistance')}, ${text(part.phaseInductance, 'inductance')}`;
    case 'step-servo':
      return `${text(part.ratedTorque, 'torque')} to ${text(part.ratedSpeed, 'speed')} · ${text(part.peakTorque, 'torque')} for a moment · ${text(part.ratedVoltage, 'voltage')}`;
    case 'driver':
      return `for ${part.drives === 'stepper' ? 'steppers' : 'step servos'} · ${text(part.lowestVoltage, 'voltage')}–${text(part.highestVoltage, 'voltage')}${part.mostCurrent ? ` · ${text(part.mostCurrent, 'current')} r.m.s.` : ''} · ${text(part.pulseLimit, 'rate')} pulses`;
    case 'board':
      if (part.timerCapacitor)
        return `pins ${text(part.pinVoltage, 'voltage')} · timer of ${text(part.timerUpper, 'input resistance')}, ${text(part.timerLower, 'input resistance')} and ${text(part.timerCapacitor, 'capacitance')}`;
      return `pins ${text(part.pinVoltage, 'voltage')}, ${text(part.pinCurrent, 'pin current')} · ${text(part.pulseLimit, 'rate')} pulses`;
    case 'servo': {
      const best = part.points.at(-1);
      const linear = part.motion === 'linear';
      const strength = linear ? text(best?.stallForce, 'force') : text(best?.stallTorque, 'torque');
      const speed = linear ? text(best?.velocity, 'velocity') : text(best?.speed, 'turning');
      return `${strength}, ${speed} at ${text(best?.voltage, 'voltage')} · ${part.signal ?? 'signal not said'} · ${part.gears ? `${part.gears} gears` : 'gears not said'}`;
    }
    case 'series':
      return `${part.of}${part.pitch ? ` · ${text(part.pitch, 'length')}` : ''} · ${part.sizes.length} sizes, ${Math.min(...part.sizes)} to ${Math.max(...part.sizes)}`;
    case 'wire':
      return `${text(part.gauge, 'gauge')} · ${part.price ? `${part.price.as} a metre` : 'price not said'}`;
    case 'chain':
      return `${text(part.pitch, 'length')} pitch · breaks at ${text(part.strength, 'force')}`;
    case 'breaker':
      return `${{ snap: 'snap-action', main: 'main', fuse: 'blade fuse' }[part.type]} · ${text(part.rated, 'current')}`;
  }
}
