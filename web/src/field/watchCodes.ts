import { LiveCodes } from '@urvek/core';
import * as Comlink from 'comlink';
import type { CodesWorker } from '../workers/codes.worker.ts';
import type { Received } from './received.ts';

/** Looked for so often until a code was seen, and then, ms: each is held 200. */
const SEEKING_MS = 1000;
const READING_MS = 80;

/** Reads the beacon of a walk in a picture that comes in, in a worker of its own. */
export class WatchCodes {
  private readonly worker = new Worker(new URL('../workers/codes.worker.ts', import.meta.url), {
    type: 'module',
  });
  private readonly reader = Comlink.wrap<CodesWorker>(this.worker);
  private readonly codes: LiveCodes;
  private busy = false;
  private seen = false;
  private nextMs = 0;

  /**
   * @param tag of the walk
   * @param onNew a code was read that was not there before, in the frame that came then, s
   */
  constructor(
    tag: number,
    private readonly received: Pick<Received, 'onCodes' | 'onOtherBeacon' | 'onFault'>,
    private readonly onNew: (atS: number) => void,
  ) {
    this.codes = new LiveCodes(tag);
  }

  /** A frame is passed over while the one before is being read. */
  look(video: HTMLVideoElement, cameMs: number): void {
    if (this.busy || cameMs < this.nextMs || video.videoWidth === 0) return;
    this.busy = true;
    this.nextMs = cameMs + (this.seen ? READING_MS : SEEKING_MS);
    void createImageBitmap(video)
      .then((frame) => this.reader.read(Comlink.transfer(frame, [frame])))
      .then(({ text, edge }) => this.take(text, cameMs, edge))
      // A frame that could not be taken is one that was not looked at.
      .catch(() => undefined)
      .finally(() => (this.busy = false));
  }

  stop(): void {
    this.worker.terminate();
  }

  private take(text: string | undefined, cameMs: number, edge: number | undefined): void {
    this.seen ||= text !== undefined;
    const { ofOthers, newestS } = this.codes;
    const told = this.codes.push(text, cameMs / 1000, edge);
    if (this.codes.newestS !== undefined && this.codes.newestS !== newestS) this.onNew(this.codes.newestS);
    if (told) this.received.onCodes(told, 1000 * told.atS);
    if (this.codes.ofOthers > ofOthers) this.received.onOtherBeacon();
    const unread = this.codes.unread(cameMs / 1000);
    if (unread) this.received.onFault(unread, 1000 * unread.fromS);
  }
}
