export interface PairedDevice {
  readonly id: string;
  readonly name: string;
  readonly pairedMs: number;
  readonly seenMs: number;
  readonly revoked: boolean;
}

/** What this machine serves on its local network; `addresses` is empty when it serves on loopback only. */
export interface LanState {
  readonly addresses: readonly string[];
  /** The authority was made anew at this start: every phone must install it again. */
  readonly freshAuthority: boolean;
  readonly devices: readonly PairedDevice[];
}

export interface PairingOffer {
  readonly code: string;
  readonly untilMs: number;
  /** One a network address, the secret in its fragment. */
  readonly links: readonly string[];
}
