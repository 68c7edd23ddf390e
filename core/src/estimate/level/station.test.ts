import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { distanceRatios, stationFound, type StationReading } from './station.ts';

const read = (text: string): StationReading[] =>
  text.split(' ').map((t) => ({ setting: t.charAt(0), value: Number(t.slice(1)) }));

describe('a station without a walk', () => {
  test('before, after, before again: the effect is over the mean of both befores', () => {
    const found = stationFound(read('a-70 b-62 a-68'), true);
    expect(found.beforeAfter).toMatchObject({ setting: 'b', over: 'a' });
    expect(found.beforeAfter?.difference).toBeCloseTo(7, 12);
    // Two befores 2 dB apart: s = √2 with one degree of freedom, t = 12.706.
    expect(found.beforeAfter?.half95).toBeCloseTo(12.7062 * Math.SQRT2 * Math.sqrt(1 + 1 / 2), 2);
    expect(found.isBest).toBe(false);
    // Without a before again there is a difference, and no effect.
    expect(stationFound(read('a-70 b-62'), true)).toMatchObject({
      beforeAfter: undefined,
      repeatSd: undefined,
    });
  });

  test('a sweep names the best only where it beats the repeats, and says whether it was mixed', () => {
    const clear = stationFound(read('a-70 b-60 c-75 c-74 b-61 a-71 a-70 c-75 b-60'), true);
    expect(clear).toMatchObject({ isBest: true, best: { setting: 'b', over: 'a' }, mixed: false });
    const loose = stationFound(read('a-70 b-66 a-60 b-64 a-66 b-70'), true);
    expect(loose).toMatchObject({ isBest: false, mixed: true });
    expect(stationFound(read('a-70 a-70 a-70 b-60 b-60 b-60'), true).mixed).toBe(false);
    // Less is better of a round trip.
    expect(stationFound(read('a10 b20 a11 b21 a10'), false).best?.setting).toBe('a');
  });

  test('with nothing between the settings, one is named in one case of twenty', () => {
    let seed = 12345;
    const uniform = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
    const normal = (): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    let named = 0;
    for (let i = 0; i < 2000; i++)
      if (
        stationFound(
          [...'abcabcabc'].map((setting) => ({ setting, value: normal() })),
          true,
        ).isBest
      )
        named++;
    // The best of three was chosen by its mean: against the runner-up alone it is named less often still.
    expect(named / 2000).toBeLessThan(0.05);
  });

  test('decibels are a range of distances, and the order of reading does not move a mean', () => {
    expect(distanceRatios(10)[0]).toBeCloseTo(3.162, 3);
    expect(distanceRatios(10)[1]).toBeCloseTo(1.778, 3);
    const settings = fc.array(
      fc.record({ setting: fc.constantFrom('a', 'b'), value: fc.integer({ min: -99, max: 0 }) }),
      {
        minLength: 2,
      },
    );
    fc.assert(
      fc.property(settings, (readings) => {
        const means = (of: readonly StationReading[]) =>
          new Map(stationFound(of, true).settings.map((s) => [s.setting, s.mean]));
        const back = means([...readings].reverse());
        for (const [setting, value] of means(readings)) expect(back.get(setting)).toBeCloseTo(value, 9);
      }),
    );
  });
});
