import type { WalkEvent } from '../log/event.ts';

/** What a test says of an event: at which second of the walk, of which kind, with what body. */
export type TestEntry = readonly [walkS: number, kind: string, body?: object];

/** The log that entries make, in their order: one device, its clock of no account. For tests only. */
export const logOf = (
  entries: readonly TestEntry[],
  { walkId = 'w', deviceId = 'd', rate = 1 } = {},
): WalkEvent[] =>
  entries.map(
    ([walkS, kind, body = {}], i) =>
      ({
        walkId,
        deviceId,
        seq: i + 1,
        version: 1,
        kind,
        body,
        time: { walkS, rate, inputMs: 0, originMs: 0, wallMs: i },
      }) as unknown as WalkEvent,
  );
