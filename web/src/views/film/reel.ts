import { digestOf, framesOf, type Frames } from './frames.ts';
import * as phrases from './phrases.ts';

/** One file of a recording, at its place on the recording's clock. */
export interface Part {
  readonly file: File;
  readonly url: string;
  readonly digest: string;
  readonly beginsS: number;
  readonly seconds: number;
  readonly frames: Frames;
  /** Why frames are not known, where they are not. */
  readonly trouble: string | undefined;
}

/** Files in a row, one after the other. */
export type Reel = readonly Part[];

/** A paused moment of sound alone is known to a hundredth of a second either way: a player seeks no finer. */
const SOUND_STEP_S = 0.02;

/** Recordings that this page has opened, by walk: a browser keeps no files from one visit to the next. */
export const opened = new Map<string, Reel>();

const secondsAt = (url: string): Promise<number> =>
  new Promise((resolve, reject) => {
    const media = document.createElement('video');
    media.preload = 'metadata';
    media.onloadedmetadata = () => resolve(media.duration);
    // What the browser says of it is of no use to a person.
    media.onerror = () => reject(new Error(phrases.thisBrowserCannotPlayItIf));
    media.src = url;
  });

/** How long a file plays. @throws Error where it does not */
export async function secondsOf(file: File): Promise<number> {
  const url = URL.createObjectURL(file);
  try {
    return await secondsAt(url);
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** Opens files, in the order of their names. @throws Error for one that cannot be played */
export async function openReel(files: readonly File[], stopped: () => boolean): Promise<Reel> {
  const reel: Part[] = [];
  for (const file of [...files].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }))) {
    const url = URL.createObjectURL(file);
    if (file.size === 0) throw new Error(phrases.wasNotOpened(file.name, phrases.itIsEmptyCopyItOnceMore));
    const seconds = await secondsAt(url).catch((error: unknown) => {
      throw new Error(phrases.wasNotOpened(file.name, (error as Error).message));
    });
    if (!Number.isFinite(seconds)) throw new Error(phrases.wasNotOpenedItDoesNot(file.name));
    const last = reel.at(-1);
    const read = await framesOf(file, stopped).then(
      (frames) => ({ frames, trouble: undefined }),
      () => ({
        frames: { atS: [], lastS: 0 },
        trouble: phrases.itsFramesCannotBeToldApart,
      }),
    );
    reel.push({
      file,
      url,
      digest: await digestOf(file),
      beginsS: last ? last.beginsS + last.seconds : 0,
      seconds,
      ...read,
    });
  }
  return reel;
}

export const secondsOfReel = (reel: Reel): number => {
  const last = reel.at(-1);
  return last ? last.beginsS + last.seconds : 0;
};

/** Which part plays at a second of the recording. */
export const partAt = (reel: Reel, atS: number): number =>
  Math.max(
    0,
    reel.findLastIndex((p) => p.beginsS <= atS),
  );

/** How long a moment that stands still lasts, s. */
export const stillS = (lengthS: number | undefined): number => lengthS ?? SOUND_STEP_S;
