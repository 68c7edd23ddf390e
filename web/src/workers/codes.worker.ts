import * as Comlink from 'comlink';
import { codeInFrame, prepareCodes, type CodeInFrame } from './codeInFrame.ts';

prepareCodes();
let pen: OffscreenCanvasRenderingContext2D | undefined;

const api = {
  /** Reads one frame of a camera or capture device, beside the page. The frame is closed. */
  async read(frame: ImageBitmap): Promise<CodeInFrame> {
    const { width, height } = frame;
    if (pen?.canvas.width !== width || pen.canvas.height !== height)
      pen = new OffscreenCanvas(width, height).getContext('2d', {
        willReadFrequently: true,
      }) as OffscreenCanvasRenderingContext2D;
    pen.drawImage(frame, 0, 0);
    frame.close();
    return codeInFrame(pen.getImageData(0, 0, width, height));
  },
};
export type CodesWorker = typeof api;
Comlink.expose(api);
