import { describe, expect, it } from 'vitest';
import { RigReader } from '../src/bench/index.js';

/** Lines of a rig as they come: in pieces, with gaps, under headers that change. */
const RPM = Math.PI / 30;

function read(kind: 'free-run' | 'servo-currents' | 'coast-down' | 'servo-line', ...pieces: readonly string[]) {
  const reader = new RigReader(kind);
  const all = [...pieces.map((piece) => reader.push(piece)), reader.end()];
  return { readings: all.flatMap(({ readings }) => readings), problems: all.flatMap(({ problems }) => problems) };
}

describe('lines of a rig', () => {
  it('are read by their header, whatever pieces they come in', () => {
    const { readings, problems } = read(
      'free-run',
      '# a rig\nt_s,V,A,',
      'rpm\n0.00,3.0',
      '1,2.1,1373\r\n0.1,3.02,2.2,13',
      '75',
    );
    expect(problems).toEqual([]);
    expect(readings).toHaveLength(2);
    expect(readings[0]).toMatchObject({ time: 0, at: { voltage: 3.01, current: 2.1 } });
    expect(readings[1]!.at['speed']).toBeCloseTo(1375 * RPM, 9);
  });

  it('in other units under another header: the readings stay the same', () => {
    const { readings } = read('free-run', 'V,A,rpm\n3,2.1,1000\nmV,mA,rpm\n3000,2100,1000\n');
    expect(readings[1]!.at['voltage']).toBeCloseTo(readings[0]!.at['voltage']!, 9);
    expect(readings[1]!.at['current']).toBeCloseTo(readings[0]!.at['current']!, 9);
  });

  it('columns of one dimension by their names, and the clock of the rig as the trial’s time', () => {
    const servo = read('servo-currents', 'stalled_A,idle_mA,moving_mA\n1.8,8,220\n').readings[0]!.at;
    expect(servo).toMatchObject({ stalled: 1.8 });
    expect(servo['idle']).toBeCloseTo(0.008, 9);
    expect(read('coast-down', 't_ms,rpm\n500,900\n').readings[0]).toMatchObject({ time: 0.5, at: { time: 0.5 } });
    expect(read('servo-line', 'pulse_us,deg,way\n1500,12,1\n').readings[0]!.at['way']).toBe(1);
  });

  it('that are broken are told and left out; the others are not lost', () => {
    const { readings, problems } = read('free-run', '3,2,1000\nV,A,rpm\n3,2\n3,nan,1000\n3,2,1000\n');
    expect(readings).toHaveLength(1);
    expect(problems).toHaveLength(3);
    expect(problems[0]).toContain('before the header');
    expect(problems[1]).toContain('2 of 3 columns');
    expect(problems[2]).toContain('nan');
  });

  it('say what a header lacks', () => {
    expect(read('free-run', 't_s,V,A\n').problems[0]).toContain('speed of the shaft');
  });

  it('a hundred thousand of them', () => {
    const reader = new RigReader('coast-down');
    reader.push('t_s,rpm\n');
    const line = '1.25,1200\n'.repeat(1000);
    let count = 0;
    for (let i = 0; i < 100; i++) count += reader.push(line).readings.length;
    expect(count).toBe(100_000);
  });
});
