import type { RigSettings } from './rig.ts';
import { settingLabel } from './rigDiff.ts';

/**
 * Whether nothing that is stated of both tells two rigs apart. Stated against not stated is no difference:
 * it pools, and the audit lists it.
 */
export const nothingTellsApart = (a: RigSettings, b: RigSettings): boolean =>
  SETTINGS.every((field) => {
    const [x, y] = [stated(a[field]), stated(b[field])];
    return x === undefined || y === undefined || x === y;
  });

/** Power supply decides how long a rig lasts, not how far it reaches. */
const SETTINGS: readonly (keyof RigSettings)[] = [
  'channel',
  'widthMHz',
  'powerMw',
  'gain',
  'squelch',
  'firmware',
  'antenna',
  'antennaPlace',
  'antennaGainDbi',
  'feederLossDb',
  'orientation',
  'bodyPosition',
  'bodyLossDb',
  'heightFixedM',
  'heightMobileM',
  'cables',
  'hops',
];

const stated = (value: string | number | undefined): string | number | undefined =>
  typeof value === 'string' ? value.trim().toLowerCase() || undefined : value;

/** The hops of a chain with a relay, in their order; empty where there is one hop only. */
export const hopsOf = ({ hops = '' }: Pick<RigSettings, 'hops'>): string[] =>
  hops
    .split(',')
    .map((h) => h.trim())
    .filter((h) => h !== '');

/** Settings that some rigs state and others do not, by their labels: what keeps them together unseen. */
export const statedUnevenly = (rigs: readonly RigSettings[]): string[] =>
  SETTINGS.filter((field) => {
    const states = new Set(rigs.map((r) => stated(r[field]) !== undefined));
    return states.size === 2;
  }).map((field) => settingLabel(field).toLowerCase());
