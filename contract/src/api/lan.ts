import * as yup from 'yup';

/** What a paired device may: log and read; or change comparisons too. */
export const DEVICE_ROLES = ['logger', 'editor'] as const;
export type DeviceRole = (typeof DEVICE_ROLES)[number];
/** The owner sits at this machine. */
export type Role = DeviceRole | 'owner';

export interface PairedDevice {
  readonly id: string;
  readonly name: string;
  readonly role: DeviceRole;
  readonly pairedMs: number;
  readonly seenMs: number;
  readonly revoked: boolean;
}

/** Something done that others may want to know of: pairing, revoking, exports, setting aside, removing. */
export interface TrailEntry {
  readonly atMs: number;
  readonly who: string;
  readonly what: string;
}

/** What this machine serves on its local network; `addresses` is empty when it serves on loopback only. */
export interface LanState {
  readonly addresses: readonly string[];
  /** The authority was made anew at this start: every phone must install it again. */
  readonly freshAuthority: boolean;
  /** Addresses that this machine has got, or lost, since the start. */
  readonly changed: { readonly got: readonly string[]; readonly lost: readonly string[] };
  readonly devices: readonly PairedDevice[];
  /** The newest first. */
  readonly trail: readonly TrailEntry[];
}

export const offerWantedSchema = yup
  .object({ role: yup.string().oneOf(DEVICE_ROLES).required() })
  .noUnknown();

export interface PairingOffer {
  readonly code: string;
  readonly untilMs: number;
  /** One a network address, the secret in its fragment. */
  readonly links: readonly string[];
}
