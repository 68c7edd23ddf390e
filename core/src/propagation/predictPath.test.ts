import { describe, expect, test } from '@jest/globals';
import type { Obstruction, Path } from '../geometry/path.ts';
import { modelObstruction } from './obstructions.ts';
import { predictPath, type PathLink } from './predictPath.ts';

const path = (obstructions: Obstruction[], lengthM = 500): Path => ({
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions,
  checkpoints: [],
});
// 82 dB of budget: free space at 2400 MHz spends it at 100 m × 10^((82 − 80.05)/20) = 125 m.
const link: PathLink = {
  frequencyMHz: 2400,
  eirpDbm: 10,
  receiveGainDbi: 0,
  requiredDbm: -72,
  heightsM: [1.5, 1.5],
};

describe('prediction along a path', () => {
  test('without obstructions it breaks where the budget is spent, by distance alone', () => {
    const { breaks, events, points } = predictPath(path([]), link);
    expect(points).toHaveLength(1000);
    expect(breaks?.travelledM).toBeGreaterThan(125);
    expect(breaks?.travelledM).toBeLessThan(126);
    expect(breaks?.because).toBe('distance alone');
    const dropout = events.find((e) => e.criterion === 'first dropout');
    // The band is ±1.28 × 4 dB: a factor of 10^(5.126/20) = 1.804 each way at exponent 2.
    expect((dropout?.medianM ?? 0) / (dropout?.lowM ?? 1)).toBeCloseTo(1.804, 1);
    expect((dropout?.highM ?? 0) / (dropout?.medianM ?? 1)).toBeCloseTo(1.804, 1);
  });

  test('a wall that breaks it is named, with its place', () => {
    const wall: Obstruction = {
      label: 'second brick wall',
      kind: 'slab',
      atM: 38,
      material: 'concrete',
      thicknessM: 0.2,
    };
    expect(predictPath(path([wall]), link).breaks).toMatchObject({
      because: 'second brick wall, 38 m',
      travelledM: 38.5,
    });
    const hedge: Obstruction = { label: 'birches', kind: 'foliage', atM: 40, toM: 160 };
    expect(predictPath(path([hedge]), link).breaks?.because).toBe('birches, 40 m');
  });

  test('events come in order, and a path that is too short has none', () => {
    const { events } = predictPath(path([]), link);
    const medians = events.map((e) => e.medianM as number);
    expect(medians).toEqual([...medians].sort((a, b) => a - b));
    expect(predictPath(path([], 60), { ...link, requiredDbm: -95 })).toMatchObject({
      breaks: undefined,
      events: [{ lowM: undefined }, { lowM: undefined }, { lowM: undefined }],
    });
  });

  test('a figure that its kind needs and has not is named', () => {
    expect(() => modelObstruction(path([]), { label: 'wall', kind: 'slab', atM: 5 })).toThrow(
      'invalid obstruction "wall": no material or thickness',
    );
    expect(() => modelObstruction(path([]), { label: 'edge', kind: 'knife-edge', atM: 5 })).toThrow(
      'no height',
    );
  });
});
