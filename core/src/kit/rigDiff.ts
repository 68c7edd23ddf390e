import type { RigSettings } from './rig.ts';
import * as phrases from './phrases.ts';

/** One setting in which two rigs differ. */
export interface RigDifference {
  readonly field: keyof RigSettings;
  readonly label: string;
  readonly left: string;
  readonly right: string;
  /** How much the right rig gains over the left by it, dB, where that is known; and on what ground. */
  readonly gainDb: number | undefined;
  readonly basis: string | undefined;
}

type Size = (left: number, right: number) => number;

interface FieldWords {
  readonly label: string;
  readonly unit?: string;
  readonly size?: Size;
  readonly basis?: string;
}

const asGain: Size = (left, right) => right - left;

const FIELDS: Readonly<Record<keyof RigSettings, FieldWords>> = {
  channel: { label: 'Channel' },
  widthMHz: {
    label: 'Channel width',
    unit: 'MHz',
    size: (l, r) => 10 * Math.log10(l / r),
    basis: phrases.noiseInTheWiderChannel,
  },
  powerMw: { label: 'Power', unit: 'mW', size: (l, r) => 10 * Math.log10(r / l), basis: 'ratio of powers' },
  gain: { label: 'Gain' },
  squelch: { label: 'Squelch' },
  firmware: { label: 'Firmware' },
  antenna: { label: 'Antenna' },
  antennaPlace: { label: 'Antenna stands' },
  antennaGainDbi: { label: 'Antenna gain', unit: 'dBi', size: asGain, basis: 'difference of gains' },
  feederLossDb: { label: 'Feeder loss', unit: 'dB', size: (l, r) => l - r, basis: 'difference of losses' },
  orientation: { label: 'Orientation' },
  bodyPosition: { label: 'Body position' },
  bodyLossDb: { label: 'Body loss', unit: 'dB', size: (l, r) => l - r, basis: 'difference of losses' },
  heightFixedM: {
    label: 'Height, fixed end',
    unit: 'm',
    size: (l, r) => 20 * Math.log10(r / l),
    basis: phrases.twoRaysBeyondTheBreakPoint,
  },
  heightMobileM: {
    label: 'Height, mobile end',
    unit: 'm',
    size: (l, r) => 20 * Math.log10(r / l),
    basis: phrases.twoRaysBeyondTheBreakPoint,
  },
  cables: { label: 'Cables and connectors' },
  hops: { label: phrases.hopsOfTheChain },
  playoutDelayS: { label: 'Playout delay', unit: 's' },
  batteryWh: { label: 'Battery', unit: 'Wh' },
  loadW: { label: 'Load', unit: 'W' },
  batteryV: { label: 'Battery voltage', unit: 'V' },
  inputMinV: { label: 'Input, least', unit: 'V' },
  inputMaxV: { label: 'Input, most', unit: 'V' },
};

/** What a setting is called. */
export const settingLabel = (field: keyof RigSettings): string => FIELDS[field].label;

const show = (value: string | number | undefined, unit: string | undefined): string =>
  value === undefined || value === ''
    ? 'not stated'
    : unit === undefined
      ? String(value)
      : `${value} ${unit}`;

/** Two rigs side by side: their differences only, each with its size in dB where it is known. */
export function rigDifferences(left: RigSettings, right: RigSettings): RigDifference[] {
  return (Object.keys(FIELDS) as (keyof RigSettings)[]).flatMap((field) => {
    const { label, unit, size, basis } = FIELDS[field];
    const [l, r] = [left[field], right[field]];
    if (show(l, unit) === show(r, unit)) return [];
    const known = size && typeof l === 'number' && typeof r === 'number' ? size(l, r) : undefined;
    return [
      {
        field,
        label,
        left: show(l, unit),
        right: show(r, unit),
        gainDb: known,
        basis: known === undefined ? undefined : basis,
      },
    ];
  });
}
