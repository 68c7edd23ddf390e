/** Where an antenna stands. */
export const ANTENNA_PLACES = [
  'on the device',
  'on the body',
  'on a stand',
  'on a mast',
  'inside a vehicle',
  'outside a vehicle',
] as const;
export type AntennaPlace = (typeof ANTENNA_PLACES)[number];

/** A product as set up, by named fields; an absent figure is not known, and not zero. */
export interface RigSettings {
  readonly channel: string;
  readonly widthMHz?: number;
  readonly powerMw?: number;
  readonly gain: string;
  readonly squelch: string;
  readonly firmware: string;
  readonly antenna: string;
  readonly antennaPlace?: AntennaPlace;
  readonly antennaGainDbi?: number;
  readonly feederLossDb?: number;
  readonly orientation: string;
  readonly bodyPosition: string;
  /** Loss through the body that is in the way. */
  readonly bodyLossDb?: number;
  readonly heightFixedM?: number;
  readonly heightMobileM?: number;
  readonly cables: string;
  /** Of a chain with a relay: its hops in their order, with commas between. */
  readonly hops?: string;
  readonly playoutDelayS?: number;
  readonly batteryWh?: number;
  readonly loadW?: number;
  readonly batteryV?: number;
  readonly inputMinV?: number;
  readonly inputMaxV?: number;
}
