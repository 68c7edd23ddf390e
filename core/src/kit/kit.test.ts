import { describe, expect, test } from '@jest/globals';
import { GRADES } from '../grade/grade.ts';
import { KINDS, kindOf } from '../grade/kinds/index.ts';
import { disagreements, parseClaim, type ClaimForm } from '../judge/claimValue.ts';
import { inputTrouble, runTimeH } from './battery.ts';
import type { RigSettings } from './rig.ts';
import { rigDifferences } from './rigDiff.ts';

const rig: RigSettings = {
  channel: '6',
  powerMw: 10,
  gain: '',
  squelch: '',
  firmware: '1.0',
  antenna: '',
  antennaPlace: 'on the device',
  orientation: '',
  bodyPosition: 'chest',
  heightFixedM: 1.5,
  heightMobileM: 1.5,
  cables: '',
  playoutDelayS: 0,
  feederLossDb: 1,
};

describe('claims as they are written', () => {
  test.each<[ClaimForm, string, number]>([
    ['distance', '1,476 ft', 449.8848],
    ['distance', '0.4 km', 400],
    ['ratio', '2×', 2],
    ['ratio', '1.5 x', 1.5],
    ['ratio', '8 % farther', 1.08],
    ['ratio', '+8 %', 1.08],
    ['ratio', '20% less', 0.8],
    ['throughput', '1.2 Gbit/s', 1200],
    ['throughput', '300 Mbps', 300],
    ['latency', '50 ms', 0.05],
    ['latency', '0.08 s', 0.08],
  ])('%s %s is %d', (form, text, value) => {
    expect(parseClaim(form, text).value).toBeCloseTo(value, 9);
  });

  test.each<[ClaimForm, string]>([
    ['ratio', '2 m'],
    ['throughput', '300'],
    ['latency', 'fast'],
    ['distance', '2×'],
  ])('%s %j is refused', (form, text) => {
    expect(() => parseClaim(form, text)).toThrow(JSON.stringify(text));
  });

  test('two figures for one claim disagree only beyond their rounding', () => {
    const claim = (entered: string, condition = 'open') => ({
      form: 'distance' as const,
      entered,
      condition,
    });
    expect(disagreements([claim('100 m'), claim('328 ft')])).toEqual([]);
    expect(disagreements([claim('150 m'), claim('500 ft')])).toEqual([]);
    expect(disagreements([claim('150 m'), claim('550 ft')])).toHaveLength(1);
    expect(disagreements([claim('450 m'), claim('1,312 ft')])).toHaveLength(1);
    expect(
      disagreements([claim('100 m'), claim('328 ft', 'obstructed'), claim('50 m', 'obstructed')]),
    ).toHaveLength(1);
  });
});

describe('two rigs side by side', () => {
  test('nothing where they are alike', () => {
    expect(rigDifferences(rig, { ...rig })).toEqual([]);
  });

  test('differences only, with their size where it is known', () => {
    const other: RigSettings = {
      ...rig,
      powerMw: 20,
      heightMobileM: 3,
      feederLossDb: 3,
      firmware: '1.1',
      antennaGainDbi: 2,
    };
    const differences = new Map(rigDifferences(rig, other).map((d) => [d.field, d]));
    expect([...differences.keys()].sort()).toEqual([
      'antennaGainDbi',
      'feederLossDb',
      'firmware',
      'heightMobileM',
      'powerMw',
    ]);
    expect(differences.get('powerMw')?.gainDb).toBeCloseTo(3.01, 2);
    expect(differences.get('heightMobileM')?.gainDb).toBeCloseTo(6.02, 2);
    expect(differences.get('feederLossDb')?.gainDb).toBe(-2);
    expect(differences.get('antennaGainDbi')).toMatchObject({ left: 'not stated', gainDb: undefined });
    expect(differences.get('firmware')?.gainDb).toBeUndefined();
    // What one gains the other loses.
    for (const back of rigDifferences(other, rig))
      expect((back.gainDb ?? 0) + (differences.get(back.field)?.gainDb ?? 0)).toBeCloseTo(0, 12);
  });

  test('batteries: run time, and the limits of the input', () => {
    expect(runTimeH({ batteryWh: 18, loadW: 4 })).toBe(4.5);
    expect(runTimeH({ batteryWh: 18 })).toBeUndefined();
    expect(() => runTimeH({ batteryWh: 18, loadW: 0 })).toThrow('invalid loadW: 0');
    expect(inputTrouble({ batteryV: 16.8, inputMaxV: 12 })).toContain('do not connect');
    expect(inputTrouble({ batteryV: 6, inputMinV: 7, inputMaxV: 12 })).toContain('below the 7 V');
    expect(inputTrouble({ batteryV: 8, inputMinV: 7, inputMaxV: 12 })).toBeUndefined();
  });
});

test('every kind has words for every grade, a test signal, and checks with names of their own', () => {
  expect(KINDS.map((k) => k.id)).toEqual([
    'microphone',
    'video-link',
    'speaker',
    'router',
    'remote',
    'two-way-radio',
    'accessory',
  ]);
  for (const kind of KINDS) {
    for (const grade of GRADES) expect(kind.words[grade]).not.toBe('');
    expect(new Set(kind.checks.map((c) => c.id)).size).toBe(kind.checks.length);
    expect(kind.checks.length).toBeGreaterThanOrEqual(8);
    expect(kindOf(kind.id)).toBe(kind);
  }
  expect(() => kindOf('kettle')).toThrow('invalid kind: "kettle"');
});
