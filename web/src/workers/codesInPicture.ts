import { CODES_LOOKED_AT, detectorState, SeenCodes, type SeenCode } from '@urvek/core';
import { CanvasSink, type InputVideoTrack } from 'mediabunny';
import { codeInFrame, prepareCodes } from './codeInFrame.ts';
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
  const frames = new CanvasSink(track, { width, height, fit: 'contain', poolSize: 2 });
  // From the first that is shown: a trimmed film keeps those before it.
  for await (const { canvas, timestamp } of frames.canvases(lastS ?? 0)) {
    if (lastS !== undefined && timestamp <= lastS) continue;
    await work.pass(lastS ?? timestamp, () => ({ state: detectorState(codes) }));
    const pen = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
    const { text, edge } = await codeInFrame(pen.getImageData(0, 0, width, height));
    codes.push(text, timestamp, edge);
    lastS = timestamp;
    tell(timestamp);
  }
  await work.keep(seconds, { found: codes.seen });
  return codes.seen;
}
