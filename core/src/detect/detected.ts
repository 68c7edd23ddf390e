/** What is lost, so that nothing comes through. */
export const DROPOUT_KINDS = [
  'loss',
  'silence',
  'freeze',
  'black',
  'one colour',
  'cut to a still',
  'beacon unread',
] as const;
export type DropoutKind = (typeof DROPOUT_KINDS)[number];

/** What is worse than it was sent, though something comes through. */
export const ARTEFACT_KINDS = [
  'click',
  'clipping',
  'stuck',
  'channel missing',
  'noise rise',
  'time jump',
  'repeated frame',
  'skipped frame',
  'torn frame',
  'blocks',
] as const;
export type ArtefactKind = (typeof ARTEFACT_KINDS)[number];

/** Something that a detector found, in seconds of the recording. */
export interface Detected<K extends DropoutKind | ArtefactKind = DropoutKind | ArtefactKind> {
  readonly kind: K;
  readonly fromS: number;
  readonly toS: number;
  /** It goes on to the end of what was given: where it ends is not known. */
  readonly open: boolean;
  /** 0 to 1: how far the figure is beyond what was asked for. */
  readonly certainty: number;
  /** What it rests on, with its unit: "34 dB below what was expected". */
  readonly figure: string;
}

/** What was asked for, as it stands in the result. */
export type Thresholds = Readonly<Record<string, number>>;

/** 0 at the threshold, 1/2 at twice as much, towards 1. */
export const certaintyOf = (figure: number, threshold: number): number =>
  Math.max(0, Math.min(1, 1 - threshold / Math.max(figure, threshold)));
