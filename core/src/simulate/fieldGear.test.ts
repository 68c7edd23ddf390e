import { describe, expect, test } from '@jest/globals';
import { coordinateAt } from '../geometry/fromCoordinates.ts';
import { geodesicBetween } from '../geometry/geodesic.ts';
import { callTimetable, sinceStart } from '../plan/callTimetable.ts';
import { otherWayDb, partnerHears } from './partner.ts';
import { satelliteReceiver } from './satellite.ts';

const path = {
  legs: [
    { lengthM: 300, bearingDeg: 40, riseM: 0, exposure: 'open' as const },
    { lengthM: 200, bearingDeg: 130, riseM: 0, exposure: 'open' as const },
  ],
};
const fixedEnd = { latitudeDeg: 51.2, longitudeDeg: -3.1 };

describe('the satellite receiver of the simulated gear', () => {
  test('errs as much as it says: 95 % of its fixes lie within its stated radius', () => {
    const inside =
      Array.from({ length: 400 }, (_, walk) => {
        const receive = satelliteReceiver(path, fixedEnd, `walk ${walk}`);
        const fix = receive(250, 60);
        return geodesicBetween(coordinateAt(path, fixedEnd, 250), fix).distanceM <= fix.accuracyM;
      }).filter(Boolean).length / 400;
    expect(inside).toBeGreaterThan(0.92);
    expect(inside).toBeLessThan(0.98);
  });

  test('wanders: a fix a second later errs alike, one after minutes does not', () => {
    const errors = (apartS: number): [number, number][] =>
      Array.from({ length: 300 }, (_, walk) => {
        const receive = satelliteReceiver(path, fixedEnd, `${walk}`);
        const north = (atS: number): number =>
          (receive(100, atS).latitudeDeg - coordinateAt(path, fixedEnd, 100).latitudeDeg) * 111_320;
        return [north(0), north(apartS)];
      });
    const correlation = (pairs: [number, number][]): number =>
      pairs.reduce((s, [a, b]) => s + a * b, 0) /
      Math.sqrt(pairs.reduce((s, [a]) => s + a * a, 0) * pairs.reduce((s, [, b]) => s + b * b, 0));
    expect(correlation(errors(1))).toBeGreaterThan(0.95);
    expect(Math.abs(correlation(errors(400)))).toBeLessThan(0.2);
    expect(satelliteReceiver(path, fixedEnd, 'a')(100, 5)).toEqual(
      satelliteReceiver(path, fixedEnd, 'a')(100, 5),
    );
  });
});

test('the partner of the simulated gear hears the other way, the same for a product on every walk', () => {
  expect(otherWayDb('holmroe')).toBe(otherWayDb('holmroe'));
  expect([partnerHears(10, -6), partnerHears(4, -6), partnerHears(4, 2)]).toEqual([3, 1, 4]);
});

test('the call timetable: walk, settle, three tries each way, move on; the next point from there', () => {
  const rows = callTimetable(
    [
      { name: 'b', atM: 140 },
      { name: 'a', atM: 70 },
    ],
    { settleS: 20, tries: 3, timeoutS: 15 },
  );
  expect(
    rows.map((r) =>
      [r.checkpoint, r.arriveS, r.walkerSendsS, r.baseSendsS, r.leaveS].map((x) =>
        typeof x === 'number' ? Math.round(x) : x,
      ),
    ),
  ).toEqual([
    ['a', 50, 70, 115, 160],
    ['b', 210, 230, 275, 320],
  ]);
  expect(sinceStart(160)).toBe('2:40');
  expect(() => callTimetable([], { settleS: 0, tries: 0, timeoutS: 1 })).toThrow('invalid tries: 0');
});
