import type { Dimension } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { parseQuantity } from '../src/units/index.js';

/** What people type, by the field they type it in: each string with what it comes to in SI, asked, or refused. */
interface Field {
  readonly field: string;
  readonly dimension: Dimension;
  readonly read: Readonly<Record<string, number>>;
  readonly asked?: readonly string[];
  readonly refused?: readonly string[];
}

const RPM = Math.PI / 30;
const DEGREE = Math.PI / 180;
const INCH = 0.0254;
const POUND = 0.45359237;
const G = 9.80665;

const FIELDS: readonly Field[] = [
  {
    field: 'how far',
    dimension: 'length',
    read: {
      '8 in': 8 * INCH,
      '8"': 8 * INCH,
      '8in': 8 * INCH,
      '1/4 in': INCH / 4,
      '1 1/2 in': 1.5 * INCH,
      '3 ft': 12 * 3 * INCH,
      '250 mm': 0.25,
      '25 cm': 0.25,
      '0.25 m': 0.25,
      '0,25 m': 0.25,
      '2.5e-1 m': 0.25,
      '1 200 mm': 1.2,
    },
    asked: ['1,200 mm'],
    refused: ['8 pears', 'far', '8 kg', '--8 mm', ''],
  },
  {
    field: 'load',
    dimension: 'mass',
    read: {
      '20 kg': 20,
      '20kg': 20,
      '44 lb': 44 * POUND,
      '44 lbs': 44 * POUND,
      '12 oz': (12 / 16) * POUND,
      '350 g': 0.35,
      '0.35 kg': 0.35,
      ',35 kg': 0.35,
    },
    refused: ['heavy', '20 N'],
  },
  {
    field: 'stall torque',
    dimension: 'torque',
    read: {
      '2.1 N·m': 2.1,
      '2.1 Nm': 2.1,
      '2.1 N m': 2.1,
      '210 N·cm': 2.1,
      '21 kg·cm': 0.21 * G,
      '21 kg-cm': 0.21 * G,
      '21 kgcm': 0.21 * G,
      '300 oz-in': (300 / 16) * POUND * G * INCH,
      '300 oz in': (300 / 16) * POUND * G * INCH,
      '2 ft-lb': 2 * 12 * INCH * POUND * G,
      '90 mN·m': 0.09,
    },
    asked: ['21 kg', '21kg', '90 oz'],
    refused: ['strong', '2 A'],
  },
  {
    field: 'free speed of a motor',
    dimension: 'speed',
    read: {
      '5800 rpm': 5800 * RPM,
      '5800 RPM': 5800 * RPM,
      '5 800 rpm': 5800 * RPM,
      '97 rev/s': 97 * 2 * Math.PI,
      '607 rad/s': 607,
      '360 °/s': 2 * Math.PI,
    },
    asked: ['5,800 rpm', '0.1 s'],
    refused: ['fast', '5800 V'],
  },
  {
    field: 'speed of a servo',
    dimension: 'turning',
    read: {
      '0.14 s/60°': (60 * DEGREE) / 0.14,
      '.14 s/60°': (60 * DEGREE) / 0.14,
      '0.14 sec/60°': (60 * DEGREE) / 0.14,
      '0.14s/60deg': (60 * DEGREE) / 0.14,
      '430 °/s': 430 * DEGREE,
      '62 rpm': 62 * RPM,
    },
    asked: ['0.1s', '.1s', '.12 sec', '0.10', '0,10', '.14'],
    refused: ['quick'],
  },
  {
    field: 'speed needed',
    dimension: 'velocity',
    read: {
      '1.5 m/s': 1.5,
      '150 cm/s': 1.5,
      '5 ft/s': 5 * 12 * INCH,
      '12 mph': (12 * 1609.344) / 3600,
      '20 km/h': 20 / 3.6,
      '20 kmh': 20 / 3.6,
      '20 kph': 20 / 3.6,
      '30 in/s': 30 * INCH,
    },
    refused: ['12 rpm', 'briskly'],
  },
  {
    field: 'total reduction',
    dimension: 'ratio',
    read: {
      '9': 9,
      '9:1': 9,
      '35:12': 35 / 12,
      '38:11': 38 / 11,
      '11 → 38': 38 / 11,
      '11 -> 38': 38 / 11,
      '10 > 40': 4,
      '38 → 11': 11 / 38,
      '12.5:1': 12.5,
      '9,4:1': 9.4,
    },
    asked: ['11:38', '12:35'],
    refused: ['soon', '9 rpm'],
  },
  {
    field: 'lead of a screw',
    dimension: 'length',
    read: {
      '8 mm': 0.008,
      '12 tpi': INCH / 12,
      '12 tpi, 4 starts': (4 * INCH) / 12,
      '4 × 12 tpi': (4 * INCH) / 12,
      '1/8 in': INCH / 8,
    },
    refused: ['tpi', 'fine'],
  },
  {
    field: 'motor-side limit',
    dimension: 'current',
    read: { '40 A': 40, '40A': 40, '40 amps': 40, '1500 mA': 1.5, '0.5': 0.5 },
    refused: ['40 V', 'plenty'],
  },
  {
    field: 'rated voltage',
    dimension: 'voltage',
    read: { '12 V': 12, '12V': 12, '12 volts': 12, '7,4 V': 7.4, '500 mV': 0.5 },
    refused: ['12 A'],
  },
  {
    field: 'capacity of a pack',
    dimension: 'charge',
    read: { '18 Ah': 64800, '5000 mAh': 18000, '5Ah': 18000 },
    refused: ['18 V'],
  },
  {
    field: 'efficiency',
    dimension: 'share',
    read: { '95 %': 0.95, '95%': 0.95, '0.95': 0.95, '95': 0.95 },
    refused: ['good'],
  },
  {
    field: 'slope',
    dimension: 'angle',
    read: { '25°': 25 * DEGREE, '-25°': -25 * DEGREE, '−25°': -25 * DEGREE, '25 deg': 25 * DEGREE, '0.5 rad': 0.5 },
    refused: ['steep'],
  },
  {
    field: 'in what time',
    dimension: 'time',
    read: { '1.6 s': 1.6, '1.6s': 1.6, '1600 ms': 1.6, '2 min': 120, '1:30': 90 },
    refused: ['at once'],
  },
  {
    field: 'branch wire',
    dimension: 'gauge',
    read: { '12 AWG': 12, '12': 12, 'AWG 12': 12 },
    refused: ['thick'],
  },
  {
    field: 'rope strength',
    dimension: 'force',
    read: { '6500 N': 6500, '6.5 kN': 6500, '10 lbf': 10 * POUND * G, '10 kgf': 10 * G },
    refused: ['enough'],
  },
  {
    field: 'rotor inertia',
    dimension: 'inertia',
    read: { '0.3 kg·cm²': 3e-5, '300 g·cm²': 3e-5, '3e-5 kg·m²': 3e-5 },
    refused: ['light'],
  },
];

const all = <T>(of: (field: Field) => readonly (readonly [string, T])[]) =>
  FIELDS.flatMap((field) => of(field).map(([text, wanted]) => [text, field.field, field.dimension, wanted] as const));

describe('what people type, field by field', () => {
  it.each(all(({ read }) => Object.entries(read)))('%j as %s', (text, _field, dimension, si) => {
    const parsed = parseQuantity(text, dimension);
    expect(parsed).toMatchObject({ ok: true });
    if (parsed.ok) expect(Math.abs(parsed.si - si)).toBeLessThanOrEqual(1e-9 + 1e-6 * Math.abs(si));
  });

  it.each(all(({ asked = [] }) => asked.map((text) => [text, undefined] as const)))(
    '%j as %s is asked, and every answer is understood',
    (text, _field, dimension) => {
      const parsed = parseQuantity(text, dimension);
      if (parsed.ok) throw new Error(`understood as ${parsed.understood}`);
      expect(parsed.choices!.length).toBeGreaterThan(0);
      for (const choice of parsed.choices!)
        expect(parseQuantity(choice, dimension), choice).toMatchObject({ ok: true });
    },
  );

  it.each(all(({ refused = [] }) => refused.map((text) => [text, undefined] as const)))(
    '%j as %s is refused, with a reason and an example that is understood',
    (text, _field, dimension) => {
      const parsed = parseQuantity(text, dimension);
      if (parsed.ok) throw new Error(`understood as ${parsed.understood}`);
      expect(parsed.reason.length).toBeGreaterThan(5);
      for (const one of parsed.example.split(' or '))
        expect(parseQuantity(one, dimension), one).toMatchObject({ ok: true });
    },
  );
});
