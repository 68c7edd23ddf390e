import { CODES_LOOKED_AT, SeenCodes, type SeenCode } from '@urvek/core';
import { CanvasSink, type InputVideoTrack } from 'mediabunny';
import { codeInFrame, prepareCodes } from './codeInFrame.ts';
import { tellsNowAndThen } from './progress.ts';
import type { Turnstile } from './turnstile.ts';

/** The codes of the beacon in a film, by frame time, with the reader that ships with the page. */
export async function codesInPicture(
  track: InputVideoTrack,
  { told, gate }: { readonly told: (share: number) => void; readonly gate: Turnstile },
): Promise<readonly SeenCode[]> {
  prepareCodes();
  const { width, height } = CODES_LOOKED_AT;
  const tell = tellsNowAndThen(told, await track.computeDuration());
  const codes = new SeenCodes();
  const frames = new CanvasSink(track, { width, height, fit: 'contain', poolSize: 2 });
  for await (const { canvas, timestamp } of frames.canvases()) {
    await gate.pass();
    const pen = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
    const { text, edge } = await codeInFrame(pen.getImageData(0, 0, width, height));
    codes.push(text, timestamp, edge);
    tell(timestamp);
  }
  return codes.seen;
}
