import type { GearHello, GearLine } from '@urvek/contract';
import { seeded, type Random } from '@urvek/core';

/** Simulated gear, by what it is; all of it walks away at a steady pace from the moment that it joins. */
export const GEAR_KINDS = ['wheel', 'link', 'remote'] as const;
export type GearKind = (typeof GEAR_KINDS)[number];

/** At which end each stands. */
export const GEAR_ENDS: Readonly<Record<GearKind, GearHello['end']>> = {
  wheel: 'mobile',
  link: 'fixed',
  remote: 'mobile',
};

/** Walking pace, m/s. */
const PACE_MPS = 1.3;
/**
 * The simulated link: level at 1 m and where it is lost, dBm; beyond the break point of two rays level falls by 40 dB
 * a decade.
 */
const [AT_1_M_DBM, LOST_DBM, HYSTERESIS_DB] = [-38, -90, 2];
const FADING_DB = 3;

const levelDbm = (m: number, random: Random): number =>
  AT_1_M_DBM -
  20 * Math.log10(Math.max(1, m)) -
  20 * Math.log10(Math.max(1, m / 60)) +
  FADING_DB * random.normal();

/** What gear of a kind says each second, from the first on; the same seed says the same. */
export function* gearLines(kind: GearKind, seed: string): Generator<readonly GearLine[]> {
  const random = seeded('gear', kind, seed);
  let lost = false;
  for (let s = 1; ; s++) {
    const m = PACE_MPS * s;
    const dbm = levelDbm(m, random);
    switch (kind) {
      case 'wheel':
        // A wheel slips by a per cent or so.
        yield [{ say: 'wheel', m: Math.round(100 * m * (1 + 0.005 * random.normal())) / 100 }];
        break;
      case 'remote': {
        const tries = 3;
        const failed = Array.from({ length: tries }, () => levelDbm(m, random)).filter(
          (l) => l < LOST_DBM,
        ).length;
        yield s % 5 === 0 ? [{ say: 'tried', tries, failed }] : [];
        break;
      }
      case 'link': {
        const was = lost;
        lost = dbm < LOST_DBM + (lost ? HYSTERESIS_DB : 0);
        yield [
          ...(lost === was ? [] : [{ say: lost ? ('lost' as const) : ('back' as const), why: 'no carrier' }]),
          ...(s % 5 === 0 && !lost
            ? [{ say: 'reading' as const, quantity: 'level' as const, value: Math.round(dbm) }]
            : []),
        ];
      }
    }
  }
}
