import type { ArtefactKind, CodesTold, Detected, DropoutKind, LiveChange } from '@urvek/core';

/** What an input at the receiving end tells; times are the page's (performance.now). */
export interface Received {
  onChange(change: LiveChange, inputMs: number): void;
  /** Worse than it was sent, though something comes through; when it began. */
  onFault(fault: Detected<ArtefactKind | DropoutKind>, inputMs: number): void;
  /** Now and then: codes of the walk's beacon that were read in it, `atS` by the page's time too. */
  onCodes(told: CodesTold, inputMs: number): void;
  /** It carries the beacon of another walk. */
  onOtherBeacon(): void;
  /** Now and then: how strong it is, and how strong it usually was; undefined until that is known. */
  onLevel(level: number | undefined, usual: number | undefined): void;
  /** The input is gone: taken by another program, unplugged, or the device slept. */
  onLost(why: string): void;
}

/** An input that is listened to or watched. */
export interface Receiving {
  /** What the browser does to it though it was asked not to. */
  readonly meddling: readonly string[];
  /** Whether this browser can read a beacon in it. */
  readonly readsBeacon: boolean;
  /** What is shown of it; sound shows nothing. */
  readonly picture?: MediaStream;
  stop(): void;
}
