import type { RigSettings } from '@urvek/core';

export interface Setting {
  readonly field: keyof RigSettings;
  readonly label: string;
  readonly suffix?: string;
  /** Columns of six that its field takes in a form. */
  readonly span?: number;
}

/** What is nearly always stated. */
export const MAIN_SETTINGS: readonly Setting[] = [
  { field: 'channel', label: 'Channel', span: 2 },
  { field: 'heightFixedM', label: 'Height, fixed end', suffix: 'm', span: 2 },
  { field: 'heightMobileM', label: 'Height, mobile end', suffix: 'm', span: 2 },
];

export const MORE_SETTINGS: readonly Setting[] = [
  { field: 'widthMHz', label: 'Channel width', suffix: 'MHz', span: 2 },
  { field: 'powerMw', label: 'Power as set', suffix: 'mW', span: 2 },
  { field: 'playoutDelayS', label: 'Delay of what is heard', suffix: 's', span: 2 },
  { field: 'gain', label: 'Gain', span: 2 },
  { field: 'squelch', label: 'Squelch', span: 2 },
  { field: 'firmware', label: 'Firmware', span: 2 },
  { field: 'antenna', label: 'Antenna', span: 2 },
  { field: 'antennaGainDbi', label: 'Antenna gain', suffix: 'dBi', span: 2 },
  { field: 'feederLossDb', label: 'Feeder loss', suffix: 'dB', span: 2 },
  { field: 'orientation', label: 'Orientation', span: 4 },
  { field: 'bodyPosition', label: 'Body position', span: 4 },
  { field: 'bodyLossDb', label: 'Body loss', suffix: 'dB', span: 2 },
  { field: 'cables', label: 'Cables and connectors', span: 6 },
  { field: 'hops', label: 'Hops of a chain with a relay, with commas', span: 6 },
  { field: 'batteryWh', label: 'Battery', suffix: 'Wh', span: 2 },
  { field: 'loadW', label: 'Load', suffix: 'W', span: 2 },
  { field: 'batteryV', label: 'Battery voltage', suffix: 'V', span: 2 },
  { field: 'inputMinV', label: 'Input, least', suffix: 'V', span: 2 },
  { field: 'inputMaxV', label: 'Input, most', suffix: 'V', span: 2 },
];

const TEXTS: readonly (keyof RigSettings)[] = [
  'channel',
  'gain',
  'squelch',
  'firmware',
  'antenna',
  'orientation',
  'bodyPosition',
  'cables',
  'hops',
];

export const isText = (field: keyof RigSettings): boolean => TEXTS.includes(field);
