import { CODES_LOOKED_AT, edgeIn, SeenCodes, type SeenCode } from '@urvek/core';
import { CanvasSink, type InputVideoTrack } from 'mediabunny';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { tellsNowAndThen } from './progress.ts';
import type { Turnstile } from './turnstile.ts';
import wasmUrl from 'zxing-wasm/reader/zxing_reader.wasm?url';

/** The codes of the beacon in a film, by frame time, with the reader that ships with the page. */
export async function codesInPicture(
  track: InputVideoTrack,
  { told, gate }: { readonly told: (share: number) => void; readonly gate: Turnstile },
): Promise<readonly SeenCode[]> {
  prepareZXingModule({ overrides: { locateFile: () => wasmUrl } });
  const { width, height } = CODES_LOOKED_AT;
  const tell = tellsNowAndThen(told, await track.computeDuration());
  const codes = new SeenCodes();
  const frames = new CanvasSink(track, { width, height, fit: 'contain', poolSize: 2 });
  for await (const { canvas, timestamp } of frames.canvases()) {
    await gate.pass();
    const pen = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
    const image = pen.getImageData(0, 0, width, height);
    const [code] = await readBarcodes(image, {
      ...{ formats: ['QRCode'], maxNumberOfSymbols: 1, tryRotate: false, tryInvert: false },
    });
    // Green stands for the brightness: code and edge are black and white.
    const grey = (x: number, y: number): number | undefined =>
      x >= 0 && x < width ? image.data[4 * (y * width + x) + 1] : undefined;
    codes.push(code?.text, timestamp, code && edgeIn(grey, code.position));
    tell(timestamp);
  }
  return codes.seen;
}
