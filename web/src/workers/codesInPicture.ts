import { SeenCodes, type SeenCode } from '@urvek/core';
import { CanvasSink, type InputVideoTrack } from 'mediabunny';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import type { Turnstile } from './turnstile.ts';
import wasmUrl from 'zxing-wasm/reader/zxing_reader.wasm?url';

/** Codes are looked for in frames of this size: at two fifths of the height a module is 9 px wide. */
const LOOKED_AT = { width: 1280, height: 720 };
/** Progress is told this often, s of the recording. */
const TELL_EVERY_S = 2;

/** The codes of the beacon in a film, by frame time, with the reader that ships with the page. */
export async function codesInPicture(
  track: InputVideoTrack,
  { told, gate }: { readonly told: (share: number) => void; readonly gate: Turnstile },
): Promise<readonly SeenCode[]> {
  prepareZXingModule({ overrides: { locateFile: () => wasmUrl } });
  const { width, height } = LOOKED_AT;
  const seconds = await track.computeDuration();
  const codes = new SeenCodes();
  let toldS = 0;
  const frames = new CanvasSink(track, { width, height, fit: 'contain', poolSize: 2 });
  for await (const { canvas, timestamp } of frames.canvases()) {
    await gate.pass();
    const pen = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
    const [code] = await readBarcodes(pen.getImageData(0, 0, width, height), {
      ...{ formats: ['QRCode'], maxNumberOfSymbols: 1, tryRotate: false, tryInvert: false },
    });
    codes.push(code?.text, timestamp);
    if (timestamp - toldS > TELL_EVERY_S) told((toldS = timestamp) / seconds);
  }
  return codes.seen;
}
