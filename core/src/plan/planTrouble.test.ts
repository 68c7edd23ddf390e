import { describe, expect, test } from '@jest/globals';
import { blindLabels } from './blindLabels.ts';
import { daylight } from './daylight.ts';
import { bothEnds, doubleUse, flatBatteries, twoPlaces, type PlannedUse } from './planTrouble.ts';
import { timetable } from './timetable.ts';

const use = (fromMin: number, toMin: number, more: Partial<PlannedUse> = {}): PlannedUse => ({
  what: `walk at ${fromMin}`,
  fromMin,
  toMin,
  units: [{ id: 'u', label: 'unit A' }],
  rigId: 'r',
  rigLabel: 'the rig',
  batteryH: undefined,
  ...more,
});

describe('what a plan cannot do', () => {
  test('a unit in two walks at once, or at both ends of one', () => {
    expect(doubleUse([use(0, 10), use(5, 15)])).toEqual([
      'unit A is in two walks at once: walk at 0 and walk at 5.',
    ]);
    expect(doubleUse([use(0, 10), use(10, 15)])).toEqual([]);
    expect(doubleUse([use(0, 10), use(5, 15, { units: [{ id: 'v', label: 'unit B' }] })])).toEqual([]);
    expect(
      bothEnds([
        use(0, 10, {
          units: [
            { id: 'u', label: 'unit A' },
            { id: 'u', label: 'unit A' },
          ],
        }),
      ]),
    ).toHaveLength(1);
    expect(bothEnds([use(0, 10)])).toEqual([]);
  });

  test('a person in two places, and a battery that will not last', () => {
    expect(twoPlaces('Base', ' base ')).toHaveLength(1);
    expect(twoPlaces('', '')).toEqual([]);
    expect(flatBatteries([use(0, 30, { batteryH: 1 }), use(90, 120, { batteryH: 1 })])[0]).toContain(
      'lasts 1.0 h',
    );
    expect(flatBatteries([use(0, 30, { batteryH: 3 }), use(90, 120, { batteryH: 3 })])).toEqual([]);
  });
});

test('walks side by side share their times, and the next comes after them', () => {
  const times = timetable(
    [{ k: 'a' }, { k: 'a' }, { k: 'b' }],
    ({ k }) => ({ lengthM: 84, rigId: k, together: k }),
    { startMin: 600, setUpMin: 5, settleMin: 3 },
  );
  expect(times.map((t) => t.fromMin)).toEqual([600, 600, 610]);
  expect(times[0]?.toMin).toBe(610);
});

test('letters are a shuffle that the key fixes', () => {
  const ids = ['p', 'q', 'r', 's'];
  expect([...blindLabels(ids, 'k').values()].sort()).toEqual(['A', 'B', 'C', 'D']);
  expect(blindLabels(ids, 'k')).toEqual(blindLabels([...ids].reverse(), 'k'));
  const firsts = new Set(Array.from({ length: 40 }, (_, i) => blindLabels(ids, `k${i}`).get('p')));
  expect(firsts.size).toBe(4);
  expect(
    blindLabels(
      Array.from({ length: 28 }, (_, i) => String(i)),
      'k',
    ).size,
  ).toBe(28);
});

describe('daylight', () => {
  // At an equinox the sun is up about twelve hours everywhere; noon at Greenwich is within 8 minutes of
  // 12:00 UT then.
  test('an equinox at Greenwich', () => {
    const { sunriseMs, sunsetMs } = daylight('2026-03-20', { latitudeDeg: 51.48, longitudeDeg: 0 });
    const hours = ((sunsetMs ?? 0) - (sunriseMs ?? 0)) / 3.6e6;
    expect(hours).toBeGreaterThan(12);
    expect(hours).toBeLessThan(12.3);
    const noonMs = ((sunsetMs ?? 0) + (sunriseMs ?? 0)) / 2;
    expect(Math.abs(noonMs - Date.UTC(2026, 2, 20, 12, 7)) / 60_000).toBeLessThan(3);
  });

  test('a polar day has no sunset, and a text is no day', () => {
    expect(daylight('2026-06-21', { latitudeDeg: 78, longitudeDeg: 15 }).sunsetMs).toBeUndefined();
    expect(() => daylight('soon', { latitudeDeg: 0, longitudeDeg: 0 })).toThrow('invalid day: "soon"');
  });
});
