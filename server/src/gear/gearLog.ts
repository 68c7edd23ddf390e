import {
  measuredTrouble,
  readGearHello,
  readGearLine,
  type GearAnswer,
  type GearHello,
} from '@urvek/contract';
import { type Direction, type Entry, type EventTime, type WalkEvent } from '@urvek/core';
import { randomUUID } from 'node:crypto';
import { isOwn, type Who } from '../api/who.ts';
import { joinable } from '../api/joinable.ts';
import type { Storage } from '../storage/port.ts';
import { entryOf } from './entryOf.ts';

/** The way that gear watches when it says none: what comes in at its end. */
const COMES_IN: Readonly<Record<GearHello['end'], Direction>> = {
  fixed: 'mobile-to-fixed',
  mobile: 'fixed-to-mobile',
};

/** The part of a walk's log that one piece of gear writes: a device that joined, on the base's own clock. */
export class GearLog {
  private readonly deviceId = randomUUID();
  private joined: { readonly hello: GearHello; readonly walkId: string; readonly fromMs: number } | undefined;
  private seq = 0;
  private kept = 0;

  constructor(
    private readonly storage: Storage,
    private readonly who: Who,
    /** A clock that never steps, ms. */
    private readonly monotonicMs: () => number,
  ) {}

  /** Takes a line; the first one says who it is. @throws what storage throws: then nothing of it is kept */
  async take(text: string): Promise<GearAnswer> {
    if (!this.joined) return this.join(readGearHello(text));
    const { hello, walkId } = this.joined;
    const line = readGearLine(text);
    const entry = entryOf(line, hello, hello.direction ?? COMES_IN[hello.end]);
    const trouble = entry.kind === 'measured' ? measuredTrouble(entry.body) : undefined;
    if (trouble !== undefined) return { refused: trouble };
    await this.append(walkId, [[entry, line.ageMs ?? 0]]);
    return { kept: ++this.kept };
  }

  private async join(hello: GearHello): Promise<GearAnswer> {
    const header = await joinable(this.storage, hello.code);
    await isOwn(this.storage, this.who, header.id);
    const role = hello.end === 'mobile' ? 'walker' : 'base';
    this.joined = { hello, walkId: header.id, fromMs: this.monotonicMs() };
    try {
      await this.append(header.id, [
        [{ kind: 'joined', body: { role, direction: hello.direction ?? COMES_IN[hello.end] } }, 0],
        // Its time is the base's own: there is nothing to compare.
        [{ kind: 'clock', body: { baseMs: this.storage.now().getTime(), halfRttMs: 0 } }, 0],
      ]);
    } catch (error) {
      this.joined = undefined;
      throw error;
    }
    return { welcome: header.id };
  }

  private async append(walkId: string, entries: readonly (readonly [Entry, number])[]): Promise<void> {
    const nowMs = this.monotonicMs();
    const wallMs = this.storage.now().getTime();
    const events = entries.map(([entry, ageMs], i) => ({
      walkId,
      deviceId: this.deviceId,
      seq: this.seq + 1 + i,
      version: 1,
      ...entry,
      time: this.timeOf(nowMs - ageMs, wallMs - ageMs),
    })) as WalkEvent[];
    await this.storage.append(walkId, events);
    this.seq += events.length;
  }

  private timeOf(atMs: number, wallMs: number): EventTime {
    const walkS = Math.max(0, (atMs - (this.joined?.fromMs ?? atMs)) / 1000);
    return { walkS, rate: 1, inputMs: atMs, originMs: 0, wallMs };
  }
}
