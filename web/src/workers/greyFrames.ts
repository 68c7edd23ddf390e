import { greyOf, greyOfLuma, isUpright, turned, type Luma } from '@urvek/core';
import { VideoSampleSink, type InputVideoTrack, type VideoSample } from 'mediabunny';
import * as phrases from './phrases.ts';

/** Forms of a frame whose first plane is its luma, a byte a dot. */
const LUMA_FIRST: readonly (string | null)[] = ['I420', 'I420A', 'I422', 'I444', 'NV12'];

/** How large frames are looked at: made to fill it, or as they are with what is left over black. */
export interface Looked {
  readonly width: number;
  readonly height: number;
  readonly fit: 'fill' | 'contain';
}

/**
 * A film's frames in grey from `fromS` on; each is overwritten by the next. They are made as the command line makes
 * them: the mean of each area.
 */
export async function* greyFrames(
  track: InputVideoTrack,
  fromS: number,
  { width, height, fit }: Looked,
): AsyncGenerator<{ readonly grey: Uint8Array; readonly atS: number }> {
  const grey = new Uint8Array(width * height);
  const small = smaller();
  for await (const sample of new VideoSampleSink(track).samples(fromS)) {
    try {
      const { displayWidth, displayHeight } = sample;
      const times = Math.min(width / displayWidth, height / displayHeight);
      const across = fit === 'fill' ? width : Math.round(times * displayWidth);
      const down = fit === 'fill' ? height : Math.round(times * displayHeight);
      const own = await small(sample, across, down);
      for (let y = 0; y < down; y++) grey.set(own.subarray(y * across, (y + 1) * across), y * width);
      yield { grey, atS: sample.timestamp };
    } finally {
      sample.close();
    }
  }
}

/** Makes frames smaller, each overwritten by the next. */
function smaller(): (sample: VideoSample, across: number, down: number) => Promise<Uint8Array> {
  const pen = new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true });
  let [lying, grey, bytes] = [new Uint8Array(), new Uint8Array(), new Uint8Array()];
  return async (sample, across, down) => {
    if (grey.length !== across * down) {
      lying = new Uint8Array(across * down);
      grey = new Uint8Array(across * down);
    }
    const { format, rotation, flip } = sample;
    if (LUMA_FIRST.includes(format) && !flip) {
      const size = sample.allocationSize();
      if (bytes.length !== size) bytes = new Uint8Array(size);
      greyOfLuma(await lumaOf(sample, bytes), lying, isUpright(rotation) ? down : across);
      return rotation === 0 ? lying : turned(lying, grey, across, rotation);
    }
    if (!pen) throw new Error(phrases.framesOfThisFormAreNot);
    [pen.canvas.width, pen.canvas.height] = [across, down];
    pen.imageSmoothingQuality = 'high';
    sample.draw(pen, 0, 0, across, down);
    return greyOf(pen.getImageData(0, 0, across, down).data, grey);
  };
}

async function lumaOf(sample: VideoSample, bytes: Uint8Array<ArrayBuffer>): Promise<Luma> {
  const [plane] = await sample.copyTo(bytes);
  if (!plane) throw new RangeError(`a frame of form ${sample.format} without a plane`);
  return {
    ...{ bytes, offset: plane.offset, stride: plane.stride },
    ...{ width: sample.visibleRect.width, height: sample.visibleRect.height },
    fullRange: sample.colorSpace.fullRange === true,
  };
}
