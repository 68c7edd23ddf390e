import type { Direction } from '../grade/direction.ts';
import { median } from '../numeric/median.ts';
import type { FileReading, MeasuredFile } from './measuredFile.ts';
import { FormatError } from './table.ts';
import * as phrases from './phrases.ts';

/** A reply of the common dialects: of Linux, of BSD, of busybox, of Windows. */
const REPLY = /(?:icmp_seq|seq)[=\s](\d+).*?time[=<]([\d.]+)\s*ms|(?:^|\s)time[=<]([\d.]+)\s*ms\s+TTL/i;
const LOST =
  /(?:no answer yet for|request timeout for) (?:icmp_)?seq[=\s](\d+)|request timed out|destination .*unreachable/i;
const STAMP = /^\[(\d{9,}\.\d+)\]/;
const SENT = /(\d+) packets transmitted|Packets: Sent = (\d+)/i;

interface Reply {
  readonly seq: number;
  readonly ms: number;
  readonly stampS: number | undefined;
}

/** Whether a text is what ping prints. */
export const isPing = (text: string): boolean =>
  /^PING |^Pinging |(?:icmp_seq|seq)=\d+ .*time[=<]|TTL=\d+/im.test(text);

/** Replies are asked for each so often where the text has no times, s. */
const EVERY_S = 1;

/**
 * Reads what ping prints, in the common dialects. Missing replies are losses, those that came twice are counted and
 * enter once. Its "mdev" is a spread of round trips over the whole run and no jitter: it is not read.
 * @param direction that the round trip is filed under @throws FormatError where there is neither a reply nor a loss
 */
export function readPing(text: string, direction: Direction = 'mobile-to-fixed'): MeasuredFile {
  const replies = new Map<number, Reply>();
  const lost = new Set<number>();
  let [twice, sent, next] = [0, 0, 0];
  for (const line of text.split(/\r?\n/)) {
    const total = SENT.exec(line);
    if (total) {
      sent = Number(total[1] ?? total[2]);
      continue;
    }
    const stamp = STAMP.exec(line)?.[1];
    const gone = LOST.exec(line);
    if (gone) {
      lost.add(gone[1] === undefined ? next : Number(gone[1]));
      next = Math.max(next, ...lost) + 1;
      continue;
    }
    const [, numbered, ms, plainMs] = REPLY.exec(line) ?? [];
    const time = ms ?? plainMs;
    if (time === undefined) continue;
    const seq = numbered === undefined ? next : Number(numbered);
    next = Math.max(next, seq + 1);
    if (replies.has(seq)) twice++;
    else replies.set(seq, { seq, ms: Number(time), stampS: stamp === undefined ? undefined : Number(stamp) });
  }
  const answered = [...replies.values()].sort((a, b) => a.seq - b.seq);
  const numbers = [...replies.keys(), ...lost];
  if (numbers.length === 0) throw new FormatError(1, undefined, phrases.noReplyAndNoLossIs);
  const [first, last] = [Math.min(...numbers), Math.max(...numbers)];
  const asked = Math.max(sent, last - first + 1);
  const began = answered.find((r) => r.stampS !== undefined);
  const atS = (seq: number): number => (seq - first) * EVERY_S;
  const steps = Array.from({ length: last - first + 1 }, (_, i): FileReading => {
    const reply = replies.get(first + i);
    const at =
      reply?.stampS !== undefined && began?.stampS !== undefined
        ? reply.stampS - began.stampS + atS(began.seq)
        : atS(first + i);
    const of = { fromS: at, toS: at, quantity: 'round trip' as const, direction };
    return reply ? { ...of, value: reply.ms } : of;
  });
  const seconds = Math.max(...steps.map((s) => s.toS));
  const times = answered.map((r) => r.ms);
  const differences = answered.slice(1).flatMap((r, i) => {
    const before = answered[i] as Reply;
    return r.seq === before.seq + 1 ? [Math.abs(r.ms - before.ms)] : [];
  });
  const of = { fromS: 0, toS: seconds, direction };
  return {
    instrument: 'ping',
    startedMs: began?.stampS === undefined ? undefined : 1000 * (began.stampS - atS(began.seq)),
    seconds,
    steps,
    whole: [
      times.length > 0
        ? {
            ...{ ...of, quantity: 'round trip', value: median(times) },
            ...{ least: Math.min(...times), most: Math.max(...times) },
          }
        : { ...of, quantity: 'round trip' },
      ...(differences.length > 0
        ? [{ ...of, quantity: 'round-trip variation', value: median(differences) } as const]
        : []),
      { ...of, quantity: 'loss', value: (100 * (asked - answered.length)) / asked },
    ],
    notes: [`${answered.length} of ${asked} answered`, ...(twice > 0 ? [phrases.cameTwice(twice)] : [])],
  };
}
