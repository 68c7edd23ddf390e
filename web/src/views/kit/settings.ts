import type { RigSettings } from '@urvek/core';
import * as phrases from './phrases.ts';

export interface Setting {
  readonly field: keyof RigSettings;
  readonly label: string;
  readonly suffix?: string;
  /** Columns of six that its field takes in a form. */
  readonly span?: number;
}

/** What is nearly always stated. */
export const MAIN_SETTINGS: readonly Setting[] = [
  { field: 'channel', label: phrases.channel, span: 2 },
  { field: 'heightFixedM', label: phrases.heightFixedEnd, suffix: 'm', span: 2 },
  { field: 'heightMobileM', label: phrases.heightMobileEnd, suffix: 'm', span: 2 },
];

export const MORE_SETTINGS: readonly Setting[] = [
  { field: 'widthMHz', label: phrases.channelWidth, suffix: 'MHz', span: 2 },
  { field: 'powerMw', label: phrases.powerAsSet, suffix: 'mW', span: 2 },
  { field: 'playoutDelayS', label: phrases.delayOfWhatIsHeard, suffix: 's', span: 2 },
  { field: 'gain', label: phrases.gain, span: 2 },
  { field: 'squelch', label: phrases.squelch, span: 2 },
  { field: 'firmware', label: phrases.firmware, span: 2 },
  { field: 'antenna', label: phrases.antenna, span: 2 },
  { field: 'antennaGainDbi', label: phrases.antennaGain, suffix: 'dBi', span: 2 },
  { field: 'feederLossDb', label: phrases.feederLoss, suffix: 'dB', span: 2 },
  { field: 'orientation', label: phrases.orientation, span: 4 },
  { field: 'bodyPosition', label: phrases.bodyPosition, span: 4 },
  { field: 'bodyLossDb', label: phrases.bodyLoss, suffix: 'dB', span: 2 },
  { field: 'cables', label: phrases.cablesAndConnectors, span: 6 },
  { field: 'hops', label: phrases.hopsOfAChainWithA, span: 6 },
  { field: 'batteryWh', label: phrases.battery, suffix: 'Wh', span: 2 },
  { field: 'loadW', label: phrases.load, suffix: 'W', span: 2 },
  { field: 'batteryV', label: phrases.batteryVoltage, suffix: 'V', span: 2 },
  { field: 'inputMinV', label: phrases.inputLeast, suffix: 'V', span: 2 },
  { field: 'inputMaxV', label: phrases.inputMost, suffix: 'V', span: 2 },
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
