import { greyOf, LivePicture, LOOKED_AT, type LiveChange } from '@urvek/core';
import type { Received, Receiving } from './received.ts';
import { WatchCodes } from './watchCodes.ts';
import * as phrases from './phrases.ts';

/** No frame came for so long: the input is gone. */
const SILENT_MS = 2000;
/** State is told each so many frames: after the first so many it is known what is usual. */
const TELL_EVERY = 16;

async function inputOf(deviceId: string | undefined): Promise<MediaStream> {
  try {
    return await navigator.mediaDevices.getUserMedia({
      video: {
        width: { ideal: 1280 },
        height: { ideal: 720 },
        ...(deviceId ? { deviceId: { exact: deviceId } } : {}),
      },
    });
  } catch (cause) {
    throw new Error(phrases.noPictureComesInTheBrowser + phrases.nothingWasLoggedAllowTheCamera, { cause });
  }
}

/** Cameras and capture devices, by name; names are told only after one was allowed. */
export async function pictureInputs(): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const devices = await navigator.mediaDevices.enumerateDevices();
  return devices
    .filter((d) => d.kind === 'videoinput' && d.label !== '')
    .map((d) => ({ id: d.deviceId, name: d.label }));
}

/**
 * Watches the picture at the receiving end.
 * @param tag of the walk, by which its beacon is known
 * @throws Error in words for the user
 */
export async function watch(
  deviceId: string | undefined,
  tag: number,
  received: Received,
): Promise<Receiving> {
  const picture = await inputOf(deviceId);
  const [track] = picture.getVideoTracks();
  const { width, height } = LOOKED_AT;
  const pen = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  const video = document.createElement('video');
  video.muted = true;
  video.srcObject = picture;
  try {
    await video.play();
    if (!pen || !('requestVideoFrameCallback' in video)) throw new Error(phrases.noFramesAreTold);
  } catch (cause) {
    for (const t of picture.getTracks()) t.stop();
    throw new Error(phrases.thisBrowserCannotWatchNothingWas, { cause });
  }
  const live = new LivePicture();
  const grey = new Uint8Array(width * height);
  const tell = (changes: readonly LiveChange[]): void => {
    for (const change of changes) received.onChange(change, 1000 * change.atS);
  };
  const codes = new WatchCodes(tag, received, (atS) => tell(live.prove(atS)));
  let [lastMs, frames, over] = [performance.now(), 0, false];
  const stop = (): void => {
    over = true;
    clearInterval(alive);
    codes.stop();
    for (const t of picture.getTracks()) t.stop();
    video.srcObject = null;
  };
  const lost = (why: string): void => {
    if (over) return;
    stop();
    received.onLost(why);
  };
  const look = (nowMs: number, { captureTime }: VideoFrameCallbackMetadata): void => {
    if (over) return;
    // Where the device says when the picture was taken; else when it was shown.
    const cameMs = Math.min(nowMs, captureTime ?? nowMs);
    pen.drawImage(video, 0, 0, width, height);
    if (cameMs > lastMs) {
      lastMs = cameMs;
      tell(live.push(greyOf(pen.getImageData(0, 0, width, height).data, grey), cameMs / 1000));
      codes.look(video, cameMs);
      if (++frames % TELL_EVERY === 0) received.onLevel(live.change, live.usualChange);
    }
    video.requestVideoFrameCallback(look);
  };
  video.requestVideoFrameCallback(look);
  const alive = setInterval(() => {
    if (performance.now() - lastMs > SILENT_MS) lost(phrases.noPictureCameInAnyMore);
  }, SILENT_MS / 2);
  track?.addEventListener('ended', () => lost(phrases.theInputWasUnpluggedOrTaken));
  return { readsBeacon: true, meddling: [], picture, stop };
}
