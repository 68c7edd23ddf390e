import * as yup from 'yup';

/** What a paired device or a program may: log, and read what it logged; or read all, and change comparisons too. */
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

/** A program that hands logs in or takes findings out gets a key of its own, under a name. */
export const newKeySchema = yup
  .object({
    name: yup.string().trim().required().max(60),
    role: yup.string().oneOf(DEVICE_ROLES).required(),
  })
  .noUnknown();

/** Told once; of it only a hash is kept. */
export interface ProgramKey {
  readonly key: string;
}

export interface PairingOffer {
  readonly code: string;
  readonly untilMs: number;
  /** One a network address, the secret in its fragment. */
  readonly links: readonly string[];
}
