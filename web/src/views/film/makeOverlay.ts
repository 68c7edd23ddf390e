import { Zip, ZipPassThrough } from 'fflate';
import { BufferTarget, canEncodeVideo, CanvasSource, Output, WebMOutputFormat } from 'mediabunny';
import * as phrases from './phrases.ts';

export interface OverlayAsked {
  readonly width: number;
  readonly height: number;
  /** Pictures a second. */
  readonly rate: number;
  readonly place: 'top' | 'bottom';
  readonly seconds: number;
  /** Width that the tape is drawn for; it is enlarged to the film's. */
  readonly pageWidth: number;
  /** The tape as it stands at a second of the film. */
  readonly svgAt: (atS: number) => string;
  /** What is written beside it; undefined while no walk is on. */
  readonly textAt: (atS: number) => string | undefined;
  readonly told: (share: number) => void;
  readonly stopped: () => boolean;
}

/** So many pictures fit a zip that a page can hold. */
const MOST_PNG = 20_000;

async function imageOf(svg: string): Promise<HTMLImageElement> {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    await image.decode();
  } finally {
    URL.revokeObjectURL(image.src);
  }
  return image;
}

/**
 * The overlay as WebM with an alpha channel where the browser encodes it, else as a zip of PNG pictures. Undefined
 * when it was stopped. @throws Error where neither can be made
 */
export async function makeOverlay(
  asked: OverlayAsked,
): Promise<{ blob: Blob; extension: 'webm' | 'zip' } | undefined> {
  const { width, height, rate, seconds } = asked;
  const canvas = Object.assign(document.createElement('canvas'), { width, height });
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error(phrases.thisBrowserGivesNoCanvasOf);
  const count = Math.max(1, Math.ceil(seconds * rate));
  let before: { svg: string; image: HTMLImageElement } | undefined;
  const draw = async (i: number): Promise<void> => {
    const atS = i / rate;
    const text = asked.textAt(atS);
    pen.clearRect(0, 0, width, height);
    if (text === undefined) return;
    const svg = asked.svgAt(atS);
    // Standing still, it is the same picture.
    before = before?.svg === svg ? before : { svg, image: await imageOf(svg) };
    const { image } = before;
    const scale = width / asked.pageWidth;
    const tall = image.naturalHeight * scale;
    const line = 0.028 * height;
    const top = asked.place === 'top' ? line * 1.6 : height - tall;
    pen.fillStyle = 'rgba(255, 253, 244, 0.82)';
    pen.fillRect(0, top - line * 1.6, width, tall + line * 1.6);
    pen.fillStyle = '#1c211f';
    pen.font = `bold ${line}px 'B612', sans-serif`;
    pen.fillText(text, line, top - line * 0.4);
    pen.drawImage(image, 0, top, width, tall);
  };
  const alpha = await canEncodeVideo('vp9', { width, height, bitrate: 2_000_000, alpha: 'keep' }).catch(
    () => false,
  );
  return alpha ? asWebM(asked, canvas, count, draw) : asZip(asked, canvas, count, draw);
}

type Draw = (i: number) => Promise<void>;

async function asWebM(
  { rate, told, stopped }: OverlayAsked,
  canvas: HTMLCanvasElement,
  count: number,
  draw: Draw,
): Promise<{ blob: Blob; extension: 'webm' } | undefined> {
  const target = new BufferTarget();
  const output = new Output({ format: new WebMOutputFormat(), target });
  const source = new CanvasSource(canvas, { codec: 'vp9', bitrate: 2_000_000, alpha: 'keep' });
  output.addVideoTrack(source, { frameRate: rate });
  await output.start();
  for (let i = 0; i < count; i++) {
    if (stopped()) {
      await output.cancel();
      return undefined;
    }
    await draw(i);
    await source.add(i / rate, 1 / rate);
    told(i / count);
  }
  await output.finalize();
  return { blob: new Blob([target.buffer ?? new ArrayBuffer(0)], { type: 'video/webm' }), extension: 'webm' };
}

async function asZip(
  { told, stopped }: OverlayAsked,
  canvas: HTMLCanvasElement,
  count: number,
  draw: Draw,
): Promise<{ blob: Blob; extension: 'zip' } | undefined> {
  if (count > MOST_PNG) throw new Error(phrases.picturesAreTooManyForOne(count));
  const parts: BlobPart[] = [];
  const zip = new Zip((error, piece) => {
    if (error) throw error;
    parts.push(piece.slice().buffer);
  });
  for (let i = 0; i < count; i++) {
    if (stopped()) return undefined;
    await draw(i);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
    if (!blob) throw new Error(phrases.aPictureCouldNotBeMade);
    // Pictures are folded already.
    const entry = new ZipPassThrough(`${String(i).padStart(6, '0')}.png`);
    zip.add(entry);
    entry.push(new Uint8Array(await blob.arrayBuffer()), true);
    told(i / count);
  }
  zip.end();
  return { blob: new Blob(parts, { type: 'application/zip' }), extension: 'zip' };
}
