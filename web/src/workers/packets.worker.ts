import { ChirpReader } from '@urvek/core';
import * as Comlink from 'comlink';

const reader = new ChirpReader();

const api = {
  /** Sound at 8 kHz as it comes in, read beside the page. */
  read: (piece: Float32Array) => reader.push(piece),
};
export type PacketsWorker = typeof api;
Comlink.expose(api);
