/** A datagram that arrived: its number, when it was sent by the sender's clock, and when it came by the receiver's. */
export interface Arrival {
  readonly seq: number;
  readonly sentMs: number;
  readonly cameMs: number;
}

export interface Datagrams {
  readonly sent: number;
  readonly received: number;
  /** 0 to 1; one that came twice counts once. */
  readonly loss: number;
  /** RFC 3550, section 6.4.1: smoothed difference of transit times, one way. Undefined below two arrivals. */
  readonly jitterMs: number | undefined;
  readonly twice: number;
  /** Came after one with a higher number. */
  readonly late: number;
}

/**
 * Loss and jitter of numbered datagrams. The two clocks need no common zero: only differences of transit times enter.
 * @param arrivals in the order in which they came @throws RangeError for more arrivals than were sent
 */
export function datagramsOf(sent: number, arrivals: readonly Arrival[]): Datagrams {
  const seen = new Set<number>();
  const once: Arrival[] = [];
  let late = 0;
  let highest = -Infinity;
  for (const arrival of arrivals) {
    if (seen.has(arrival.seq)) continue;
    seen.add(arrival.seq);
    once.push(arrival);
    if (arrival.seq < highest) late++;
    highest = Math.max(highest, arrival.seq);
  }
  if (once.length > sent) throw new RangeError(`invalid arrivals: ${once.length} of ${sent} sent`);
  return {
    sent,
    received: once.length,
    loss: sent === 0 ? 0 : 1 - once.length / sent,
    jitterMs: once.length < 2 ? undefined : jitterOf(once),
    twice: arrivals.length - once.length,
    late,
  };
}

/**
 * Whether the channel stopped, and not the link: nothing of the later half came, either way. Of 500 sent each way at
 * random loss of 95 %, that has a chance below 10⁻²². Only to be asked of a link whose other connections went on.
 */
export const channelStopped = (sent: number, ...ways: readonly (readonly Arrival[])[]): boolean =>
  sent > 0 && ways.every((arrivals) => arrivals.every((a) => a.seq < sent / 2));

/** J += (|D| − J)/16, D the difference of transit of two datagrams one after the other in their coming. */
function jitterOf(arrivals: readonly Arrival[]): number {
  let jitter = 0;
  for (let i = 1; i < arrivals.length; i++) {
    const [a, b] = [arrivals[i - 1] as Arrival, arrivals[i] as Arrival];
    const difference = b.cameMs - b.sentMs - (a.cameMs - a.sentMs);
    jitter += (Math.abs(difference) - jitter) / 16;
  }
  return jitter;
}
