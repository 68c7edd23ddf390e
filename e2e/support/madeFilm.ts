import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createRequire } from 'node:module';
import { join, dirname } from 'node:path';
import type { AddressInfo } from 'node:net';
import type { WebDriver } from 'selenium-webdriver';

export const FILM = { rate: 25, frames: 250, width: 320, height: 180 } as const;

/** Bits of a frame's number, drawn as black and white blocks in the top row. */
const BITS = 12;

/** What makes the film, in the browser: each frame carries its number, and each second has a beep. */
const MAKE = `
  const done = arguments[0];
  (async () => {
    const { Output, BufferTarget, WebMOutputFormat, CanvasSource, AudioBufferSource } = await import('/mediabunny.mjs');
    const canvas = Object.assign(document.createElement('canvas'), { width: ${FILM.width}, height: ${FILM.height} });
    const pen = canvas.getContext('2d');
    const output = new Output({ format: new WebMOutputFormat(), target: new BufferTarget() });
    const picture = new CanvasSource(canvas, { codec: 'vp8', bitrate: 1e6, keyFrameInterval: 1 });
    const sound = new AudioBufferSource({ codec: 'opus', bitrate: 64e3 });
    output.addVideoTrack(picture, { frameRate: ${FILM.rate} });
    output.addAudioTrack(sound);
    await output.start();
    const seconds = ${FILM.frames / FILM.rate};
    const beeps = new AudioBuffer({ length: 48000 * seconds, sampleRate: 48000, numberOfChannels: 1 });
    const values = beeps.getChannelData(0);
    for (let i = 0; i < values.length; i++)
      values[i] = i % 48000 < 4800 ? 0.5 * Math.sin((2 * Math.PI * 1000 * i) / 48000) : 0;
    await sound.add(beeps);
    for (let n = 0; n < ${FILM.frames}; n++) {
      pen.fillStyle = 'gray';
      pen.fillRect(0, 0, canvas.width, canvas.height);
      for (let bit = 0; bit < ${BITS}; bit++) {
        pen.fillStyle = (n >> bit) & 1 ? 'white' : 'black';
        pen.fillRect(bit * 24 + 4, 4, 24, 24);
      }
      await picture.add(n / ${FILM.rate}, 1 / ${FILM.rate});
    }
    await output.finalize();
    const bytes = new Uint8Array(output.target.buffer);
    let text = '';
    for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
    return btoa(text);
  })().then((film) => done({ film }), (error) => done({ trouble: String(error) }));`;

/** The number that is burnt into the frame that a page's player shows. */
export const SHOWN_FRAME = `
  const video = document.querySelector('video');
  if (!video) return -1;
  const canvas = Object.assign(document.createElement('canvas'), { width: ${FILM.width}, height: ${FILM.height} });
  const pen = canvas.getContext('2d');
  pen.drawImage(video, 0, 0, canvas.width, canvas.height);
  let n = 0;
  for (let bit = 0; bit < ${BITS}; bit++)
    if (pen.getImageData(bit * 24 + 16, 16, 1, 1).data[0] > 128) n |= 1 << bit;
  return n;`;

/** A film of ${FILM.frames} frames, made by the browser under test from nothing. */
export async function madeFilm(driver: WebDriver): Promise<Buffer> {
  const main = createRequire(import.meta.url).resolve('mediabunny');
  const bundle = readFileSync(join(dirname(main), 'mediabunny.mjs'));
  const server = createServer((request, response) => {
    const script = request.url === '/mediabunny.mjs';
    response.setHeader('content-type', script ? 'text/javascript' : 'text/html');
    response.end(script ? bundle : '<!doctype html><title>film</title>');
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  try {
    await driver.get(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
    await driver.manage().setTimeouts({ script: 60_000 });
    const { film, trouble } = await driver.executeAsyncScript<{ film?: string; trouble?: string }>(MAKE);
    if (film === undefined) throw new Error(`no film: ${trouble}`);
    return Buffer.from(film, 'base64');
  } finally {
    server.closeAllConnections();
    server.close();
  }
}
