import { edgeIn } from '@urvek/core';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import wasmUrl from 'zxing-wasm/reader/zxing_reader.wasm?url';

/** The code that a frame shows, and how far down its strip the moving edge stands. */
export interface CodeInFrame {
  readonly text: string | undefined;
  readonly edge: number | undefined;
}

/** Asks for the reader that ships with the page; before the first frame. */
export const prepareCodes = (): void => void prepareZXingModule({ overrides: { locateFile: () => wasmUrl } });

/** Reads one frame. */
export async function codeInFrame(image: ImageData): Promise<CodeInFrame> {
  const { width, data } = image;
  const [code] = await readBarcodes(image, {
    ...{ formats: ['QRCode'], maxNumberOfSymbols: 1, tryRotate: false, tryInvert: false },
  });
  // Green stands for the brightness: code and edge are black and white.
  const grey = (x: number, y: number): number | undefined =>
    x >= 0 && x < width ? data[4 * (y * width + x) + 1] : undefined;
  return { text: code?.text, edge: code && edgeIn(grey, code.position) };
}
