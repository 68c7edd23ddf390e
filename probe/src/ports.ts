import type { DatagramKind, ProbeRole } from '@urvek/contract';
import type { EndLoad } from '@urvek/core';

/** A connection of a run. */
export interface ProbeSocket {
  readonly bufferedAmount: number;
  send(data: string | Uint8Array<ArrayBuffer>): void;
  close(): void;
}

/** What comes in on it. */
export interface Heard {
  text?(text: string): void;
  bytes?(data: Uint8Array): void;
  /** It ended, and not by `close`. */
  ended?(why: string): void;
}

/** Datagrams that nobody sends again; the number and the sender's clock of each that comes. */
export interface DatagramChannel {
  readonly bufferedAmount: number;
  send(data: Uint8Array<ArrayBuffer>): void;
  close(): void;
}

/** What a run needs of where it runs: a page, or a command. */
export interface ProbePorts {
  /** @throws Error where there is no connection */
  connect(role: ProbeRole, heard: Heard): Promise<ProbeSocket>;
  /** A clock that never steps, ms. */
  nowMs(): number;
  wait(ms: number): Promise<void>;
  /** Bytes that no one can compress. */
  noise(bytes: number): Uint8Array<ArrayBuffer>;
  /** How busy this end was since it was asked last. */
  load(): EndLoad;
  /**
   * Opens a way on which datagrams are lost where they are lost. @param answer the server's answer to an offer
   * @throws Error where there is none
   */
  datagrams?(
    answer: (kind: DatagramKind, offer: string) => Promise<string>,
    came: (data: Uint8Array) => void,
  ): Promise<DatagramChannel>;
}
