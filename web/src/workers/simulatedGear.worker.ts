import * as Comlink from 'comlink';
import { startWalk, type Path, type SimulatedGear, type Tick } from '@urvek/core';

export interface PlayOptions {
  readonly simulatedGear: SimulatedGear;
  readonly path: Path;
  readonly seed: string;
  readonly rate: number;
  /** A walk that was interrupted is played silently up to here, with its turn where it was. */
  readonly fromS: number;
  readonly turnedAtS: number | undefined;
}

/** What the page gets: the newest tick, and the wheel's automatic readings since the last time. */
export type OnTicks = (latest: Tick, wheelReadings: Tick[]) => void;

const FRAME_MS = 50;
const WHEEL_EVERY_S = 5;

let timer: ReturnType<typeof setInterval> | undefined;
let rate = 1;
let walk: ReturnType<typeof startWalk> | undefined;

const api = {
  play(options: PlayOptions, onTicks: OnTicks): void {
    clearInterval(timer);
    rate = options.rate;
    const playing = startWalk(options.simulatedGear, options.path, options.seed);
    walk = playing;
    let tick = playing.step();
    while (tick.tS < options.fromS) {
      if (options.turnedAtS !== undefined && tick.tS >= options.turnedAtS && !tick.returning) playing.turn();
      tick = playing.step();
    }
    let [clockS, lastMs, wheelS] = [tick.tS, performance.now(), tick.tS];
    timer = setInterval(() => {
      const now = performance.now();
      clockS += ((now - lastMs) / 1000) * rate;
      lastMs = now;
      const readings: Tick[] = [];
      while (tick.tS < clockS) {
        tick = playing.step();
        if (tick.tS - wheelS >= WHEEL_EVERY_S) {
          readings.push(tick);
          wheelS = tick.tS;
        }
      }
      onTicks(tick, readings);
    }, FRAME_MS);
  },
  turn(): void {
    walk?.turn();
  },
  setRate(to: number): void {
    rate = to;
  },
  stop(): void {
    clearInterval(timer);
    timer = undefined;
    walk = undefined;
  },
};

export type SimulatedGearWorker = typeof api;
Comlink.expose(api);
