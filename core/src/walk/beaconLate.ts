import type { EventOf } from '../log/event.ts';
import type { JoinedDevice } from '../log/joinLogs.ts';
import { median } from '../numeric/median.ts';

/** How late the beacon came through the link at a moment. */
export interface BeaconLate {
  readonly carriedBy: 'picture' | 'sound';
  readonly atS: number;
  readonly lateS: number;
  /** Standard uncertainty, s: of the sending, and of the clocks of both devices. */
  readonly uS: number;
}

/** By these a device's clock is known apart from what it received. */
const CLOCKS: readonly JoinedDevice['by'][] = ['clocks compared', 'shared moment'];

/**
 * What the codes that were read say of the link's latency, from the screen or loudspeaker that sent them to the
 * page that read them. Nothing where the clocks of the two devices are not known by anything else.
 * @param events on the walk's clock
 */
export function beaconLates(
  events: readonly EventOf<'beacon'>[],
  joined: readonly JoinedDevice[],
): BeaconLate[] {
  return events.flatMap(({ deviceId, time, body }) => {
    const receiver = joined.find((j) => j.deviceId === deviceId);
    // What the walk's own device reads was shown by one that joined: the least known of their clocks counts.
    const clocks = receiver ? [receiver] : joined;
    if (clocks.length === 0 || !clocks.every((j) => CLOCKS.includes(j.by))) return [];
    const clockS = Math.max(...clocks.map((j) => j.uncertaintyS));
    const { carriedBy = 'picture', sentS, uS } = body;
    return [{ carriedBy, atS: time.walkS, lateS: time.walkS - sentS, uS: Math.hypot(uS, clockS) }];
  });
}

/** How late it was over a walk. */
export interface LateOverall {
  readonly medianS: number;
  readonly leastS: number;
  readonly mostS: number;
  /** What all of them share, s: the clocks are the same. */
  readonly uS: number;
}

/** Undefined where nothing is known of it. */
export const lateOverall = (lates: readonly BeaconLate[]): LateOverall | undefined =>
  lates.length === 0
    ? undefined
    : {
        medianS: median(lates.map((l) => l.lateS)),
        leastS: Math.min(...lates.map((l) => l.lateS)),
        mostS: Math.max(...lates.map((l) => l.lateS)),
        uS: median(lates.map((l) => l.uS)),
      };
