import { describe, expect, test } from '@jest/globals';
import { fitExponent, fittedLevelDbm } from '../estimate/level/fitExponent.ts';
import { effectOf, exponentAbout } from './change.ts';
import { indoorLossDb } from './indoor.ts';
import { interferenceRatio } from './interference.ts';
import { obstructionLossDb, predictPoint, type LinkBudget } from './predict.ts';

describe('what a change is worth', () => {
  test('5 W for 4 W is 0.97 dB, ×1.118 at exponent 2; 3 dB is ×1.413', () => {
    const { db, distanceRatio } = effectOf({ gainDb: 0, powerRatio: 5 / 4, heightRatio: 1 }, 2);
    expect(db).toBeCloseTo(0.969, 3);
    expect(distanceRatio).toBeCloseTo(1.118, 3);
    expect(effectOf({ gainDb: 3, powerRatio: 1, heightRatio: 1 }, 2).distanceRatio).toBeCloseTo(1.413, 3);
    expect(effectOf({ gainDb: 10, powerRatio: 1, heightRatio: 1 }, 4).distanceRatio).toBeCloseTo(1.778, 3);
  });

  test('height counts beyond the break point only, 6 dB a doubling (two rays)', () => {
    expect(exponentAbout('two-slope', 2400, [1.5, 1.5], 50)).toBe(2);
    expect(exponentAbout('two-slope', 2400, [1.5, 1.5], 150)).toBe(4);
    expect(exponentAbout('free-space', 2400, [1.5, 1.5], 150)).toBe(2);
    expect(exponentAbout('indoor', 2400, [1.5, 1.5], 20)).toBe(3);
    expect(effectOf({ gainDb: 0, powerRatio: 1, heightRatio: 2 }, 4).db).toBeCloseTo(6.02, 2);
    expect(effectOf({ gainDb: 0, powerRatio: 1, heightRatio: 2 }, 2).db).toBe(0);
    expect(() => effectOf({ gainDb: 0, powerRatio: 0, heightRatio: 1 }, 2)).toThrow('invalid powerRatio: 0');
  });
});

test('the indoor model holds the walls already, and floors come on top (ITU-R P.1238, from memory)', () => {
  const link: LinkBudget = {
    frequencyMHz: 2400,
    eirpDbm: 20,
    receiveGainDbi: 0,
    requiredDbm: -80,
    heightsM: [1.5, 1.5],
    model: 'indoor',
    obstructions: [
      { kind: 'slab', atM: 5, material: 'brick', thicknessM: 0.1 },
      { kind: 'fixed-loss', atM: 0, lossDb: 14 },
    ],
  };
  expect(obstructionLossDb(link, 20)).toBe(14);
  const { pathLossDb, obstructionDb } = predictPoint(link, 20);
  expect(pathLossDb + obstructionDb).toBeCloseTo(92.64, 2);
  expect(indoorLossDb(2400, 20, 30, 14)).toBeCloseTo(92.64, 2);
});

test('interference is a ratio of wanted to unwanted at each end, with the duty stated', () => {
  // 80.05 dB of free space at 2400 MHz over 100 m (ITU-R P.525, from memory).
  const shielded = interferenceRatio({
    test: 'shielded',
    frequencyMHz: 2400,
    sourceDbm: 10,
    duty: 0.5,
    toFixed: 100,
    toMobile: 10,
    wantedAtFixedDbm: -60,
  });
  expect(shielded.atFixedDb).toBeCloseTo(10.05, 2);
  expect(shielded.atMobileDb).toBeUndefined();
  expect(shielded.dutyDb).toBeCloseTo(3.01, 2);
  expect(
    interferenceRatio({
      test: 'cabled',
      frequencyMHz: 2400,
      sourceDbm: 0,
      duty: 1,
      toFixed: 60,
      toMobile: 70,
      wantedAtMobileDbm: -55,
    }).atMobileDb,
  ).toBe(15);
  expect(() =>
    interferenceRatio({
      test: 'cabled',
      frequencyMHz: 2400,
      sourceDbm: 0,
      duty: 0,
      toFixed: 60,
      toMobile: 70,
    }),
  ).toThrow('invalid duty: 0');
});

test('a fitted line passes through what it was made from', () => {
  const readings = [10, 20, 40, 80, 160].map((distanceM) => ({
    distanceM,
    levelDbm: -40 - 30 * Math.log10(distanceM / 10),
  }));
  const fit = fitExponent(
    readings.map((r, i) => ({ ...r, levelDbm: r.levelDbm + (i % 2 ? 1e-3 : -1e-3) })),
    -100,
  );
  expect(fit?.exponent).toBeCloseTo(3, 3);
  expect(fit && fittedLevelDbm(fit, 80)).toBeCloseTo(-40 - 30 * Math.log10(8), 2);
});
