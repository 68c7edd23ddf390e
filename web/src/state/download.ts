import * as phrases from './phrases.ts';

/** Hands a file to the browser to keep. */
export function download(name: string, content: Blob | string, type = 'text/plain'): void {
  const url = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
  Object.assign(document.createElement('a'), { href: url, download: name }).click();
  // The click only starts the download: the address must outlive it.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** An SVG drawn at `scale` times its size on white, as PNG. @throws Error when the browser cannot draw it. */
export async function svgToPng(svg: string, width: number, height: number, scale = 3): Promise<Blob> {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  await image.decode();
  const canvas = Object.assign(document.createElement('canvas'), {
    width: width * scale,
    height: height * scale,
  });
  const pen = canvas.getContext('2d') as CanvasRenderingContext2D;
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  URL.revokeObjectURL(image.src);
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error(phrases.thePictureCouldNotBeMade))),
      'image/png',
    ),
  );
}
