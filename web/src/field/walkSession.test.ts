import { describe, expect, test } from '@jest/globals';
import {
  effectiveLog,
  lastUndoable,
  liveStateOf,
  traceWalk,
  type EventBodies,
  type EventKind,
  type EventTime,
  type WalkEvent,
} from '@urvek/core';
import fc from 'fast-check';
import { Cleared } from './fieldLog.ts';
import { WalkSession, type Keeper } from './walkSession.ts';

const time = (walkS: number): EventTime => ({ walkS, rate: 1, inputMs: walkS, originMs: 0, wallMs: walkS });

/** A device that keeps in memory, slowly, and refuses when it is told to. */
function keeper(): Keeper & { refuse: boolean; closed: boolean; kept: WalkEvent[] } {
  const kept: WalkEvent[] = [];
  return {
    kept,
    refuse: false,
    closed: false,
    refused: (error) => (error as Error).message === 'full',
    async reopen() {
      this.closed = false;
    },
    putBack: async (_, log) => {
      kept.push(...log);
    },
    logOf: async () => [...kept],
    async append(walkId, kind, body, at) {
      await new Promise((wait) => setTimeout(wait, 0));
      // A full disk closes the log: room alone does not open it again.
      this.closed ||= this.refuse;
      if (this.closed) throw new Error('full');
      if (kind === 'joined') throw new Error('a fault of ours');
      const event = {
        walkId,
        deviceId: 'd',
        seq: kept.length + 1,
        version: 1,
        kind,
        body,
        time: at,
      } as unknown as WalkEvent;
      kept.push(event);
      return event;
    },
  };
}
const BEGIN: EventBodies['begin'] = {
  baselineGrade: 5,
  direction: 'mobile-to-fixed',
  reading: { travelledM: 0, method: 'wheel', pressed: false },
  playoutDelayS: 0,
};

const entry = fc.oneof(
  fc.constantFrom(2, 3, 4, 5).map((grade) => ['grade', { grade }] as const),
  fc.constant(['dropoutBegin', {}] as const),
  fc.constant(['dropoutEnd', {}] as const),
  fc.constant(['reconnected', { how: 'by itself' }] as const),
  fc
    .nat(400)
    .map((travelledM) => ['mark', { reading: { travelledM, method: 'wheel', pressed: true } }] as const),
  fc.constant(['shared', { count: 1 }] as const),
  fc.constant(['undo', {}] as const),
);

describe('a walk under way without a screen', () => {
  test('folded entry by entry it stands where its whole log says, whatever was undone', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(entry, { maxLength: 25 }), async (entries) => {
        const device = keeper();
        const session = new WalkSession('w', device);
        await session.append('begin', BEGIN, time(0));
        for (const [i, [kind, body]] of entries.entries()) {
          if (kind === 'undo') await session.undo(time);
          else await session.append(kind as EventKind, body as never, time(i + 1));
        }
        const { state, log } = session.current();
        expect(log).toEqual(device.kept);
        expect(state).toEqual(liveStateOf(device.kept));
        expect(state.undoable).toEqual(lastUndoable(device.kept));
        const trace = traceWalk(device.kept);
        expect(state.grade).toBe(trace?.stretches.at(-1)?.grade);
        expect(state.marksM).toEqual(
          effectiveLog(device.kept)
            .flatMap((e) =>
              e.kind === 'mark' || e.kind === 'begin' ? [e.body.reading?.travelledM ?? Number.NaN] : [],
            )
            .slice(-2),
        );
      }),
      { numRuns: 60 },
    );
  });

  test('what the device refuses waits, counts meanwhile, and is kept in order when there is room', async () => {
    const device = keeper();
    const session = new WalkSession('w', device, 5);
    await session.append('begin', BEGIN, time(0));
    device.refuse = true;
    let kept = 0;
    const pressed = [
      session.append('grade', { grade: 4 }, time(1)),
      session.append('dropoutBegin', {}, time(2)),
      session.append('grade', { grade: 2 }, time(3)),
    ];
    for (const p of pressed) void p.then(() => kept++);
    await new Promise((wait) => setTimeout(wait, 30));
    // Seen, not called kept, and undone like any other.
    expect(session.current()).toMatchObject({ unkept: 3, state: { grade: 2, entries: 4 } });
    const undone = session.undo(time);
    expect(session.current()).toMatchObject({ unkept: 4, state: { grade: 1 } });
    expect([kept, device.kept.length]).toEqual([0, 1]);
    device.refuse = false;
    // None is called kept, nor forgotten, before it is: what is kept and what waits are always all of it.
    const seen: number[] = [];
    const stop = session.subscribe(() => {
      const { log, unkept } = session.current();
      seen.push(log.length);
      expect(log.length - unkept).toBe(device.kept.length);
    });
    await Promise.all([...pressed, undone]);
    stop();
    expect(new Set(seen)).toEqual(new Set([5]));
    expect(device.kept.map((e) => e.kind)).toEqual(['begin', 'grade', 'dropoutBegin', 'grade', 'correction']);
    expect(session.current()).toMatchObject({ unkept: 0, state: { grade: 1 } });
    expect(session.current().log).toEqual(device.kept);
    expect(session.current().state).toEqual(liveStateOf(device.kept));
  });

  test('what is no refusal is thrown, and changes nothing', async () => {
    const device = keeper();
    const session = new WalkSession('w', device);
    await session.append('begin', BEGIN, time(0));
    const before = session.current();
    await expect(session.append('joined', {} as never, time(1))).rejects.toThrow('a fault of ours');
    expect(session.current()).toBe(before);
    await session.append('grade', { grade: 3 }, time(2));
    expect(session.current().state).toMatchObject({ grade: 3, entries: 2 });
  });

  test('what is logged past it, as the beginning is, is there once it looks again', async () => {
    const device = keeper();
    const session = new WalkSession('w', device);
    await session.reread();
    expect(session.current()).toMatchObject({ ready: true, state: { begin: undefined, entries: 0 } });
    await device.append('w', 'begin', BEGIN, time(0));
    await session.reread();
    expect(session.current()).toMatchObject({ state: { begin: { kind: 'begin' }, entries: 1 } });
    await session.append('grade', { grade: 4 }, time(1));
    expect(session.current()).toMatchObject({ state: { grade: 4, entries: 2 } });
  });

  test(
    'it goes on where a log was left, keeps the order of what is pressed at once, and tells who ' + 'listens',
    async () => {
      const device = keeper();
      await new WalkSession('w', device).append('begin', BEGIN, time(0));
      const session = new WalkSession('w', device);
      let told = 0;
      const stop = session.subscribe(() => told++);
      await Promise.all([1, 2, 3, 4].map((s) => session.append('grade', { grade: 4 }, time(s))));
      expect(device.kept.map((e) => e.time.walkS)).toEqual([0, 1, 2, 3, 4]);
      expect(told).toBe(5);
      stop();
      await session.append('grade', { grade: 5 }, time(5));
      expect(told).toBe(5);
    },
  );

  test('a press that the device neither keeps nor refuses is seen as one that waits, until it is kept', async () => {
    const device = keeper();
    const session = new WalkSession('w', device, 5, 20);
    await session.append('begin', BEGIN, time(0));
    let go = (): void => undefined;
    const held = new Promise<void>((resolve) => (go = resolve));
    const append = device.append.bind(device);
    device.append = async (...asked: Parameters<Keeper['append']>) => {
      await held;
      return append(...asked);
    };
    const kept = session.append('dropoutBegin', {}, time(5));
    await new Promise((wait) => setTimeout(wait, 60));
    expect(session.current()).toMatchObject({ unkept: 1, state: { grade: 1 } });
    go();
    await kept;
    expect(session.current()).toMatchObject({ unkept: 0, state: { grade: 1 } });
    expect(device.kept.map((e) => e.kind)).toEqual(['begin', 'dropoutBegin']);
  });

  test('what the next press means is known before the one before it is kept', async () => {
    const device = keeper();
    const session = new WalkSession('w', device);
    await session.append('begin', BEGIN, time(0));
    const begun = session.append('dropoutBegin', {}, time(1));
    expect([session.current().state.grade, session.expected().grade]).toEqual([5, 1]);
    const ended = session.append('dropoutEnd', {}, time(2));
    expect(session.expected().grade).not.toBe(1);
    await Promise.all([begun, ended]);
    expect(session.expected()).toEqual(session.current().state);
  });

  test('a device cleared under the walk has it back with the next press, or before one', async () => {
    const device = keeper();
    const session = new WalkSession('w', device, 5);
    await session.append('begin', BEGIN, time(0));
    await session.append('grade', { grade: 4 }, time(1));
    const append = device.append.bind(device);
    device.append = async (...asked: Parameters<Keeper['append']>) => {
      if (device.kept.length === 0) throw new Cleared('cleared');
      return append(...asked);
    };
    device.kept.length = 0;
    await session.append('grade', { grade: 2 }, time(2));
    expect(device.kept.map((e) => [e.seq, e.kind])).toEqual([
      [1, 'begin'],
      [2, 'grade'],
      [3, 'grade'],
    ]);
    expect(session.current()).toMatchObject({ cleared: true, unkept: 0, state: { grade: 2, entries: 3 } });
    device.kept.length = 0;
    await session.putBack();
    expect(device.kept).toEqual(session.current().log);
  });
});
