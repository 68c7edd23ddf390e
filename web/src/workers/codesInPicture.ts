import { CODES_LOOKED_AT, detectorState, SeenCodes, type SeenCode } from '@urvek/core';
import type { InputVideoTrack } from 'mediabunny';
import { codeInFrame, prepareCodes } from './codeInFrame.ts';
import { greyFrames } from './greyFrames.ts';
import { framesLeft, type Gone, type KeptWork } from './keptWork.ts';
import { tellsNowAndThen, type Told } from './progress.ts';

/** The codes of the beacon in a film, by frame time, with the reader that ships with the page. */
export async function codesInPicture(
  track: InputVideoTrack,
  work: KeptWork<Gone<readonly SeenCode[]>>,
  told: Told,
): Promise<readonly SeenCode[]> {
  const seconds = await track.computeDuration();
  const left = await framesLeft(work, () => new SeenCodes());
  if ('found' in left) return left.found;
  const codes = left.detector;
  let { lastS } = left;
  if (lastS !== undefined) told(lastS / seconds, true);
  prepareCodes();
  const { width, height } = CODES_LOOKED_AT;
  const tell = tellsNowAndThen(told, seconds);
  const image = new ImageData(width, height);
  // Red, green and blue of a dot, and that it is opaque, at once.
  const dots = new Uint32Array(image.data.buffer);
  // From the first that is shown: a trimmed film keeps those before it.
  for await (const { grey, atS } of greyFrames(track, lastS ?? 0, { width, height, fit: 'contain' })) {
    if (lastS !== undefined && atS <= lastS) continue;
    await work.pass(lastS ?? atS, () => ({ state: detectorState(codes) }));
    for (let i = 0; i < dots.length; i++) dots[i] = 0xff000000 + 0x010101 * (grey[i] as number);
    const { text, edge } = await codeInFrame(image);
    codes.push(text, atS, edge);
    lastS = atS;
    tell(atS);
  }
  await work.keep(seconds, { found: codes.seen });
  return codes.seen;
}
