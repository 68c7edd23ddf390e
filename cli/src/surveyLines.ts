import { seeded } from '@urvek/core';

/** Made-up transmitters of a site: from where to where they are heard, MHz, and how loud at their middle, dBm. */
const THERE = [
  { fromMHz: 2402, toMHz: 2422, dbm: -62, what: 'access point, channel 1' },
  { fromMHz: 2427, toMHz: 2447, dbm: -78, what: 'access point, channel 6' },
  { fromMHz: 2450, toMHz: 2452, dbm: -70, what: 'not known, comes and goes' },
] as const;
const [FROM_MHZ, TO_MHZ, STEP_MHZ, NOISE_DBM] = [2400, 2484, 2, -98];

/**
 * A simulated survey of the 2.4 GHz band, a row a step, at both ends before and after the walks, in the columns that
 * *On the air* in Paths imports: when, end, frequency_mhz, level_dbm, what. The same seed gives the same.
 */
export function surveyCsv(seed: string): string {
  const random = seeded('survey', seed);
  const rows = (['before', 'after'] as const).flatMap((when) =>
    (['fixed', 'mobile'] as const).flatMap((end) =>
      Array.from({ length: (TO_MHZ - FROM_MHZ) / STEP_MHZ + 1 }, (_, i) => {
        const mhz = FROM_MHZ + i * STEP_MHZ;
        const heard = THERE.find((t) => mhz >= t.fromMHz && mhz <= t.toMHz);
        const dbm = (heard?.dbm ?? NOISE_DBM) - (end === 'mobile' ? 6 : 0) + 2 * random.normal();
        return `${when},${end},${mhz},${dbm.toFixed(1)},${heard ? JSON.stringify(heard.what) : ''}`;
      }),
    ),
  );
  return `${['when,end,frequency_mhz,level_dbm,what', ...rows].join('\n')}\n`;
}
