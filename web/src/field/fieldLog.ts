import type { WalkFile, WalkHeader } from '@urvek/contract';
import type { EventBodies, EventKind, EventTime, WalkEvent } from '@urvek/core';
import { Dexie, type EntityTable, type Table } from 'dexie';
import * as phrases from './phrases.ts';

/** Stands for the comparison of a walk that is not filed under one yet: it stays on this device. */
export const UNFILED = '00000000-0000-0000-0000-000000000000';

/**
 * How far an event has come: on this device only, at the base, refused by it and set aside, or of a walk that was
 * removed there for good.
 */
export const HERE = 0;
export const AT_BASE = 1;
export const SET_ASIDE = 2;
export const REMOVED = 3;

export interface KeptEvent {
  readonly walkId: string;
  readonly deviceId: string;
  readonly seq: number;
  readonly event: WalkEvent;
  readonly place: typeof HERE | typeof AT_BASE | typeof SET_ASIDE | typeof REMOVED;
  readonly refusal?: string;
}

export interface KeptWalk {
  readonly id: string;
  readonly comparisonId: string;
  readonly header: WalkHeader;
  readonly registered: 0 | 1;
  /** A walk that this device is making: 1 until its end is logged. */
  readonly underWay: 0 | 1;
  readonly nextSeq: number;
  /** A walk that another device makes and this one joined. */
  readonly joined?: true;
}

/** The browser has cleared its storage under a walk that this page has logged into. */
export class Cleared extends Error {}

/** What this device has logged. Committed to disk before it is called kept; nothing is deleted. */
class FieldLog extends Dexie {
  declare walks: EntityTable<KeptWalk, 'id'>;
  declare events: Table<KeptEvent, [string, string, number]>;
  declare facts: EntityTable<{ name: string; value: string }, 'name'>;
  /** What this page knows of its walks and of its device, should the browser clear its storage meanwhile. */
  private readonly known = new Map<string, KeptWalk>();
  private device?: string;

  constructor() {
    // No cache: of storage that the browser cleared it would go on telling what was there.
    super('urvek-field', { chromeTransactionDurability: 'strict', cache: 'disabled' });
    this.version(1).stores({
      walks: 'id, comparisonId, underWay',
      events: '[walkId+deviceId+seq], walkId, [walkId+place], place',
      facts: 'name',
    });
  }

  /** Random per storage: two browsers are two devices. */
  private async deviceId(): Promise<string> {
    const kept = await this.facts.get('device');
    if (kept) return (this.device = kept.value);
    this.device ??= crypto.randomUUID();
    await this.facts.add({ name: 'device', value: this.device });
    return this.device;
  }

  /** A walk on this device, or one that this page knows and the browser has cleared. */
  async walk(id: string): Promise<KeptWalk | undefined> {
    return (await this.walks.get(id)) ?? this.known.get(id);
  }

  /** Walks under way. One that this page walks is among them though the storage was cleared under it. */
  async underWay(walking?: string): Promise<KeptWalk[]> {
    const open = await this.walks.where('underWay').equals(1).toArray();
    const known = walking === undefined ? undefined : this.known.get(walking);
    return known?.underWay && !(await this.walks.get(known.id)) ? [...open, known] : open;
  }

  /** Whether a walk that this page has logged into is still on the device. */
  async holds(walkId: string): Promise<boolean> {
    return (await this.walks.get(walkId)) !== undefined || !this.known.has(walkId);
  }

  /** Puts a walk back that was cleared under this page. It is sent anew: the base knows entries by their numbers. */
  async putBack(walkId: string, log: readonly WalkEvent[]): Promise<void> {
    const known = this.known.get(walkId);
    if (!known) throw new Error(`invalid walkId: ${walkId}`);
    await this.transaction('rw', this.walks, this.events, this.facts, async () => {
      if (await this.walks.get(walkId)) return;
      const device = await this.deviceId();
      const last = log.reduce((most, e) => (e.deviceId === device ? Math.max(most, e.seq) : most), 0);
      await this.walks.add({ ...known, registered: known.joined ? 1 : 0, nextSeq: last + 1 });
      await this.events.bulkAdd(
        log.map((event) => ({ walkId, deviceId: event.deviceId, seq: event.seq, event, place: HERE })),
      );
    });
  }

  /** Begins a walk on this device, or adopts one that is at the base already, to correct it. */
  async adopt(header: WalkHeader, underWay: 0 | 1): Promise<void> {
    await this.transaction('rw', this.walks, async () => {
      if (await this.walks.get(header.id)) return;
      await this.walks.add({
        id: header.id,
        comparisonId: header.comparisonId,
        header,
        registered: 0,
        underWay,
        nextSeq: 1,
      });
    });
  }

  /** Takes part in a walk that another device makes. Its own number sequence is its own. */
  async joinWalk(header: WalkHeader): Promise<void> {
    await this.transaction('rw', this.walks, async () => {
      if (await this.walks.get(header.id)) return;
      await this.walks.add({
        id: header.id,
        comparisonId: header.comparisonId,
        header,
        registered: 1,
        underWay: 0,
        nextSeq: 1,
        joined: true,
      });
    });
  }

  /**
   * A log that was kept alone turns out to be the other end's of a walk: its events go over to that walk,
   * in their order, with all that their clocks said. Its beginning becomes the joining, its end a note.
   * Only what has not been sent can go over.
   */
  async goOver(walkId: string, header: WalkHeader, joined: EventBodies['joined']): Promise<void> {
    await this.transaction('rw', this.walks, this.events, async () => {
      if (await this.walks.get(header.id)) throw new Error(phrases.thisDeviceHasALogOf);
      const kept = await this.events.where('walkId').equals(walkId).sortBy('seq');
      if (kept.some((k) => k.place !== HERE)) throw new Error(phrases.aPartOfThisLogWas);
      const as = ({ event }: KeptEvent): WalkEvent => {
        const moved = { ...event, walkId: header.id };
        if (moved.kind === 'begin') return { ...moved, kind: 'joined', body: joined };
        return moved.kind === 'end'
          ? { ...moved, kind: 'note', body: { text: phrases.endedHere(moved.body.reason) } }
          : moved;
      };
      await this.events.bulkAdd(kept.map((k) => ({ ...k, walkId: header.id, event: as(k) })));
      await this.events.bulkDelete(kept.map((k): [string, string, number] => [walkId, k.deviceId, k.seq]));
      await this.walks.add({
        id: header.id,
        comparisonId: header.comparisonId,
        header,
        registered: 1,
        underWay: 0,
        nextSeq: Math.max(0, ...kept.map((k) => k.seq)) + 1,
        joined: true,
      });
      await this.walks.delete(walkId);
      this.known.delete(walkId);
    });
  }

  /**
   * Stores one event; its number is given in the transaction that stores it. Resolves when it is on disk.
   * @throws Cleared where the walk was on this device and is not any more
   */
  async append<K extends EventKind>(
    walkId: string,
    kind: K,
    body: EventBodies[K],
    time: EventTime,
  ): Promise<WalkEvent> {
    return this.transaction('rw', this.walks, this.events, this.facts, async () => {
      const walk = await this.walks.get(walkId);
      if (!walk && this.known.has(walkId)) throw new Cleared(`cleared: ${walkId}`);
      if (!walk) throw new Error(`invalid walkId: ${walkId}`);
      const deviceId = await this.deviceId();
      const event = {
        walkId,
        deviceId,
        seq: walk.nextSeq,
        version: 1,
        kind,
        time,
        body,
      } as unknown as WalkEvent;
      await this.events.add({ walkId, deviceId, seq: walk.nextSeq, event, place: HERE });
      const after = { nextSeq: walk.nextSeq + 1, ...(kind === 'end' ? { underWay: 0 as const } : {}) };
      await this.walks.update(walkId, after);
      this.known.set(walkId, { ...walk, ...after });
      return event;
    });
  }

  /** A walk that was ended by mistake goes on: its end is withdrawn. */
  async walkOn(walkId: string, time: EventTime): Promise<void> {
    const end = (await this.logOf(walkId)).findLast((e) => e.kind === 'end');
    if (!end) return;
    await this.transaction('rw', this.walks, this.events, this.facts, async () => {
      const amends = { deviceId: end.deviceId, seq: end.seq };
      await this.append(
        walkId,
        'correction',
        { amends, action: 'withdraw', reason: phrases.theWalkGoesOn },
        time,
      );
      await this.walks.update(walkId, { underWay: 1 });
      this.known.delete(walkId);
    });
  }

  /** Full disks and crashes close the log under the page: errors of the store itself, not of what was asked. */
  refused(error: unknown): boolean {
    return error instanceof Dexie.DexieError || error instanceof DOMException;
  }

  async reopen(): Promise<void> {
    this.close({ disableAutoOpen: false });
    await this.open();
  }

  /** Files a walk that was begun with nothing set up: from now on it is sent. */
  async file(walkId: string, header: WalkHeader): Promise<void> {
    await this.walks.update(walkId, { comparisonId: header.comparisonId, header, registered: 0 });
  }

  /**
   * Takes in a walk that was saved as a file: what is here already stays, the rest waits to be sent. One whose header
   * the file does not tell waits to be filed. @returns how many entries are new here
   */
  async takeIn({ walkId, header, log }: WalkFile): Promise<number> {
    return this.transaction('rw', this.walks, this.events, this.facts, async () => {
      const device = await this.deviceId();
      const last = log.reduce((most, e) => (e.deviceId === device ? Math.max(most, e.seq) : most), 0);
      const known = await this.walks.get(walkId);
      if (known) await this.walks.update(walkId, { nextSeq: Math.max(known.nextSeq, last + 1) });
      else
        await this.walks.add({
          id: walkId,
          comparisonId: header?.comparisonId ?? UNFILED,
          header: header ?? {
            ...{ id: walkId, comparisonId: UNFILED, productId: '', rigId: '', pathId: '' },
            startedMs: Math.round(log[0]?.time.wallMs ?? 0),
          },
          registered: 0,
          underWay: 0,
          nextSeq: last + 1,
        });
      let taken = 0;
      for (const event of log) {
        if (await this.events.get([walkId, event.deviceId, event.seq])) continue;
        await this.events.add({ walkId, deviceId: event.deviceId, seq: event.seq, event, place: HERE });
        taken++;
      }
      return taken;
    });
  }

  async logOf(walkId: string): Promise<WalkEvent[]> {
    const walk = await this.walks.get(walkId);
    if (walk) this.known.set(walkId, walk);
    const kept = await this.events.where('walkId').equals(walkId).sortBy('seq');
    return kept.map((k) => k.event);
  }
}

export const fieldLog = new FieldLog();
