import { readGearHello, readGearLine, type GearAnswer, type GearHello } from '@urvek/contract';
import { type Direction, type Entry, type EventTime, type WalkEvent, measuredTrouble } from '@urvek/core';
import { gearEntry } from '@urvek/study';
import { createHash } from 'node:crypto';
import { isOwn, type Who } from '../api/who.ts';
import { joinable } from '../api/joinable.ts';
import type { Storage } from '../storage/port.ts';

/** The way that gear watches when it says none: what comes in at its end. */
const COMES_IN: Readonly<Record<GearHello['end'], Direction>> = {
  fixed: 'mobile-to-fixed',
  mobile: 'fixed-to-mobile',
};

/** The part of a walk's log that one piece of gear writes: a device that joined, on the base's own clock. */
export class GearLog {
  private deviceId = '';
  private joined: { readonly hello: GearHello; readonly walkId: string; readonly fromMs: number } | undefined;
  private seq = 0;
  private kept = 0;

  constructor(
    private readonly storage: Storage,
    private readonly who: Who,
    /** A clock that never steps, ms since 1970 at about: it goes on where another server takes over. */
    private readonly monotonicMs: () => number,
  ) {}

  /** Takes a line; the first one says who it is. @throws what storage throws: then nothing of it is kept */
  async take(text: string): Promise<GearAnswer> {
    if (!this.joined) return this.join(readGearHello(text));
    const { hello, walkId } = this.joined;
    const line = readGearLine(text);
    const entry = gearEntry(line, hello, hello.direction ?? COMES_IN[hello.end]);
    const trouble = entry.kind === 'measured' ? measuredTrouble(entry.body) : undefined;
    if (trouble !== undefined) return { refused: trouble };
    await this.append(walkId, [[entry, line.ageMs ?? 0]]);
    return { kept: ++this.kept };
  }

  private async join(hello: GearHello): Promise<GearAnswer> {
    const header = await joinable(this.storage, hello.code);
    await isOwn(this.storage, this.who, header.id);
    const role = hello.end === 'mobile' ? 'walker' : 'base';
    // A link that drops and comes back is the same gear, and goes on with its numbers.
    this.deviceId = deviceIdOf(header.id, this.who, hello.name);
    const [held] = await this.storage.heldOf([{ walkId: header.id, deviceId: this.deviceId }]);
    this.seq = held?.highest ?? 0;
    this.joined = { hello, walkId: header.id, fromMs: this.monotonicMs() };
    try {
      await this.append(header.id, [
        ...(held
          ? []
          : [
              [
                { kind: 'joined', body: { role, direction: hello.direction ?? COMES_IN[hello.end] } },
                0,
              ] as const,
            ]),
        // Its time is the base's own: there is nothing to compare.
        [{ kind: 'clock', body: { baseMs: this.storage.now().getTime(), halfRttMs: 0 } }, 0],
      ]);
    } catch (error) {
      this.joined = undefined;
      throw error;
    }
    return { welcome: header.id };
  }

  /** The connection has ended: a loss that it told of may go on, and nobody tells. */
  async left(): Promise<void> {
    if (!this.joined) return;
    const { hello, walkId } = this.joined;
    await this.append(walkId, [[{ kind: 'note', body: { text: `${hello.name}: its connection ended` } }, 0]]);
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

/** The same gear on the same walk, by name and by whose key it has: as a UUID. */
function deviceIdOf(walkId: string, { deviceId = 'owner' }: Who, name: string): string {
  const hex = createHash('sha256').update(`${walkId}/${deviceId}/${name}`).digest('hex');
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `4${hex.slice(13, 16)}`,
    `8${hex.slice(17, 20)}`,
    hex.slice(20, 32),
  ].join('-');
}
