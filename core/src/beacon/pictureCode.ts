import { MOST_SEQUENCE, MOST_TAG, type BeaconMessage } from './message.ts';

/** What a picture of the beacon says: which walk, which number, and how far it is from the fixed end, where known. */
export interface PictureMessage extends BeaconMessage {
  /** Separation and its standard uncertainty, m, to a tenth; undefined where nothing tells it. */
  readonly separation: { readonly m: number; readonly uM: number } | undefined;
}

/** Begins every code of this layout, and tells it from other codes in the picture. */
const MARK = 'UB1';
const UNKNOWN = '-';
/** In letters and digits, base 36: tag, sequence, decimetres, decimetres of uncertainty. */
const WIDTHS = [3, 6, 4, 3] as const;
const MOST_DM = 36 ** 4 - 1;
const MOST_U_DM = 36 ** 3 - 1;

const written = (value: number, width: number): string =>
  value.toString(36).toUpperCase().padStart(width, '0');

/** 19 letters and digits, for a QR code of version 2. @throws RangeError with the value that is out of range */
export function pictureText({ tag, sequence, separation }: PictureMessage): string {
  if (!(Number.isInteger(tag) && tag >= 0 && tag <= MOST_TAG)) throw new RangeError(`invalid tag: ${tag}`);
  if (!(Number.isInteger(sequence) && sequence >= 0 && sequence <= MOST_SEQUENCE))
    throw new RangeError(`invalid sequence: ${sequence}`);
  const head = `${MARK}${written(tag, WIDTHS[0])}${written(sequence, WIDTHS[1])}`;
  if (!separation) return head + UNKNOWN.repeat(WIDTHS[2] + WIDTHS[3]);
  const [dm, uDm] = [Math.round(10 * separation.m), Math.ceil(10 * separation.uM)];
  if (!(dm >= 0 && dm <= MOST_DM)) throw new RangeError(`invalid separation: ${separation.m} m`);
  // What is less sure than can be written is not written as surer than it is.
  if (!(uDm >= 0 && uDm <= MOST_U_DM)) throw new RangeError(`invalid uncertainty: ${separation.uM} m`);
  return head + written(dm, WIDTHS[2]) + written(uDm, WIDTHS[3]);
}

/** @returns undefined for any other text */
export function pictureMessageOf(text: string): PictureMessage | undefined {
  const fields = /^UB1([0-9A-Z]{3})([0-9A-Z]{6})(?:([0-9A-Z]{4})([0-9A-Z]{3})|-{7})$/.exec(text);
  if (!fields) return undefined;
  const [tag, sequence] = [Number.parseInt(fields[1] ?? '', 36), Number.parseInt(fields[2] ?? '', 36)];
  if (tag > MOST_TAG || sequence > MOST_SEQUENCE) return undefined;
  const separation =
    fields[3] === undefined
      ? undefined
      : { m: Number.parseInt(fields[3], 36) / 10, uM: Number.parseInt(fields[4] ?? '', 36) / 10 };
  return { tag, sequence, separation };
}
