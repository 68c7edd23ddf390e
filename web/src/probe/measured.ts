import type { Direction, EventBodies, SimulatedReading } from '@urvek/core';
import type { ProbeResult } from '@urvek/probe';
import * as phrases from './phrases.ts';

type Measured = EventBodies['measured'];

export const INSTRUMENT = phrases.urvekProbe;

const DOWN: Direction = 'fixed-to-mobile';
const UP: Direction = 'mobile-to-fixed';

/** What stands around every reading of a run. */
interface Around {
  readonly server: string;
  readonly moving: boolean;
}

const around = ({ server, moving }: Around, seconds: number): Partial<Measured> => ({
  instrument: INSTRUMENT,
  server,
  provenance: 'measured',
  lastedS: seconds,
  ...(moving ? { moving: true as const } : {}),
});

/** The readings of a run; a link that did not come about is no connection, both ways. */
export function measuredOf(result: ProbeResult, of: Around): Measured[] {
  const common = around(of, result.seconds);
  if (result.outcome === 'no connection') return noConnection(of, result.seconds);
  const rate = (direction: Direction, mbps: number | undefined): Measured[] =>
    mbps === undefined ? [] : [{ quantity: 'throughput', direction, value: mbps, ...common }];
  const jitter = (direction: Direction, ms: number | undefined): Measured[] =>
    ms === undefined ? [] : [{ quantity: 'jitter', direction, value: ms, ...common }];
  const { down, up, idle, datagrams } = result;
  const lost = datagrams && 'down' in datagrams ? datagrams : undefined;
  const read: Measured[] = [
    ...rate(DOWN, down?.rate.mbps),
    ...rate(UP, up?.rate.mbps),
    ...(idle
      ? [
          { quantity: 'round trip', direction: DOWN, value: idle.medianMs, ...common } as const,
          { quantity: 'round-trip variation', direction: DOWN, value: idle.variationMs, ...common } as const,
        ]
      : []),
    ...(lost
      ? [
          { quantity: 'loss', direction: DOWN, value: 100 * lost.down.loss, ...common } as const,
          { quantity: 'loss', direction: UP, value: 100 * lost.up.loss, ...common } as const,
          ...jitter(DOWN, lost.down.jitterMs),
          ...jitter(UP, lost.up.jitterMs),
        ]
      : []),
  ];
  // It broke: what was not measured any more was no connection.
  return result.outcome === 'broken'
    ? [
        ...read,
        ...(down ? [] : [{ quantity: 'throughput', direction: DOWN, ...common } as const]),
        ...(up ? [] : [{ quantity: 'throughput', direction: UP, ...common } as const]),
      ]
    : read;
}

export const noConnection = (of: Around, seconds: number): Measured[] =>
  [DOWN, UP].map((direction) => ({ quantity: 'throughput', direction, ...around(of, seconds) }));

/** What simulated gear answered, as a run would have read it. */
export function measuredOfSimulated(
  read: SimulatedReading | undefined,
  of: Around,
  seconds: number,
): Measured[] {
  if (!read) return noConnection(of, seconds);
  const common = around(of, seconds);
  return [
    { quantity: 'throughput', direction: DOWN, value: read.downMbps, ...common },
    { quantity: 'throughput', direction: UP, ...(read.upMbps > 0 ? { value: read.upMbps } : {}), ...common },
    { quantity: 'round trip', direction: DOWN, value: read.roundTripMs, ...common },
    { quantity: 'loss', direction: DOWN, value: 100 * read.lossShare, ...common },
  ];
}
