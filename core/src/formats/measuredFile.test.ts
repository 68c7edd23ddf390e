import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isIperf3, readIperf3 } from './iperf3Json.ts';
import { isPing, readPing } from './pingText.ts';

const interval = (start: number, mbps: number, more: object = {}) => ({
  sum: {
    start,
    end: start + 1,
    seconds: 1,
    bits_per_second: mbps * 1e6,
    omitted: false,
    sender: true,
    ...more,
  },
});
const run = (test: object, intervals: object[], end: object = {}, more: object = {}): string =>
  JSON.stringify({
    start: { timestamp: { timesecs: 1_760_000_000 }, test_start: { protocol: 'TCP', reverse: 0, ...test } },
    intervals,
    end,
    ...more,
  });

describe('files of other instruments', () => {
  test('iperf3: what it left out is left out, what arrived is the rate, its spread is of the steps', () => {
    const text = run(
      { omit: 1 },
      [interval(0, 5, { omitted: true }), interval(0, 20), interval(1, 30), interval(2, 22)],
      { sum_received: { bits_per_second: 23.5e6 }, sum_sent: { retransmits: 7 } },
    );
    expect(isIperf3(text)).toBe(true);
    const found = readIperf3(text);
    expect(found.startedMs).toBe(1_760_000_000_000);
    expect(found.steps.map((s) => [s.fromS, s.value])).toEqual([
      [0, 20],
      [1, 30],
      [2, 22],
    ]);
    expect(found.whole).toEqual([
      {
        ...{ fromS: 0, toS: 3, quantity: 'throughput', direction: 'mobile-to-fixed' },
        value: 23.5,
        least: 20,
        most: 30,
      },
    ]);
    expect(found.notes).toEqual([
      '7 retransmissions',
      '1 intervals at the beginning were left out, as it was told',
    ]);
  });

  test('reversed is the other way; both at once are two; UDP has jitter and loss; an error is no connection', () => {
    expect(readIperf3(run({ reverse: 1 }, [interval(0, 9)])).whole[0]?.direction).toBe('fixed-to-mobile');
    const both = readIperf3(
      run({ bidir: 1 }, [{ ...interval(0, 9), sum_bidir_reverse: interval(0, 40).sum }]),
    );
    expect(both.whole.map((w) => [w.direction, w.value])).toEqual([
      ['mobile-to-fixed', 9],
      ['fixed-to-mobile', 40],
    ]);
    const udp = readIperf3(
      run({ protocol: 'UDP' }, [interval(0, 8, { sender: false, jitter_ms: 0.4, lost_percent: 2 })]),
    );
    expect(udp.whole.map((w) => [w.quantity, w.value])).toEqual([
      ['throughput', 8],
      ['jitter', 0.4],
      ['loss', 2],
    ]);
    const failed = readIperf3(run({}, [], {}, { error: 'unable to connect to server' }));
    expect(failed.whole).toEqual([
      { fromS: 0, toS: 0, quantity: 'throughput', direction: 'mobile-to-fixed' },
    ]);
    expect(failed.notes).toEqual(['it ended with: unable to connect to server']);
    expect(() => readIperf3('{"intervals": [')).toThrow('no JSON');
    expect(() => readIperf3('{"intervals": []}')).toThrow('no interval was measured');
  });

  test.each([
    [
      'Linux',
      '64 bytes from 10.0.0.1: icmp_seq=1 ttl=64 time=12.0 ms\n64 bytes from 10.0.0.1: icmp_seq=2 ' +
        'ttl=64 time=14.0 ms\n64 bytes from 10.0.0.1: icmp_seq=4 ttl=64 time=40.0 ms\n64 bytes from ' +
        '10.0.0.1: icmp_seq=4 ttl=64 time=41.0 ms (DUP!)\n\n--- 10.0.0.1 ping statistics ---\n5 packets ' +
        'transmitted, 3 received, +1 duplicates, 40% packet loss, time 4005ms\nrtt min/avg/max/mdev = ' +
        '12.0/22.0/40.0/12.7 ms',
    ],
    [
      'BSD',
      '64 bytes from 10.0.0.1: icmp_seq=0 ttl=64 time=12.000 ms\n64 bytes from 10.0.0.1: icmp_seq=1 ' +
        'ttl=64 time=14.000 ms\nRequest timeout for icmp_seq 2\n64 bytes from 10.0.0.1: icmp_seq=3 ' +
        'ttl=64 time=40.000 ms\n64 bytes from 10.0.0.1: icmp_seq=3 ttl=64 time=40.500 ms (DUP!)\nRequest ' +
        'timeout for icmp_seq 4\n',
    ],
    [
      'busybox',
      '64 bytes from 10.0.0.1: seq=0 ttl=64 time=12.000 ms\n64 bytes from 10.0.0.1: seq=1 ttl=64 ' +
        'time=14.000 ms\n64 bytes from 10.0.0.1: seq=3 ttl=64 time=40.000 ms\n64 bytes from 10.0.0.1: ' +
        'seq=3 ttl=64 time=40.900 ms (DUP!)\n5 packets transmitted, 3 packets received',
    ],
  ])('ping of %s: missing replies are losses, those that came twice enter once', (_, text) => {
    expect(isPing(text)).toBe(true);
    const found = readPing(text);
    expect(found.whole).toMatchObject([
      { quantity: 'round trip', value: 14, least: 12, most: 40 },
      { quantity: 'round-trip variation', value: 2 },
      { quantity: 'loss', value: 40 },
    ]);
    expect(found.notes).toEqual(['3 of 5 answered', '1 came twice']);
    expect(found.steps.filter((s) => s.value === undefined).length).toBeGreaterThanOrEqual(1);
  });

  test('ping of Windows has no numbers; stamps of -D place replies by the clock', () => {
    const windows = readPing(
      'Reply from 10.0.0.1: bytes=32 time=9ms TTL=64\r\nRequest timed out.\r\nReply from 10.0.0.1: ' +
        'bytes=32 time<1ms TTL=64\r\n    Packets: Sent = 3, Received = 2, Lost = 1 (33% loss),',
    );
    expect(windows.steps.map((s) => s.value)).toEqual([9, undefined, 1]);
    expect(windows.whole.at(-1)?.value).toBeCloseTo(100 / 3, 9);
    const stamped = readPing(
      '[1760000000.500000] 64 bytes from 10.0.0.1: icmp_seq=1 ttl=64 time=5.00 ms\n[1760000002.750000] ' +
        '64 bytes from 10.0.0.1: icmp_seq=2 ttl=64 time=6.00 ms',
    );
    expect(stamped.startedMs).toBe(1_760_000_000_500);
    expect(stamped.steps[1]?.fromS).toBeCloseTo(2.25, 6);
    expect(() => readPing('nothing of the kind')).toThrow('no reply and no loss');
  });

  test('of any replies that ping prints, every number is answered or lost, and none is both', () => {
    fc.assert(
      fc.property(
        fc.array(fc.option(fc.integer({ min: 1, max: 900 })), { minLength: 2, maxLength: 60 }),
        (times) => {
          fc.pre(times.some((t) => t !== null));
          const lines = times.flatMap((t, i) =>
            t === null ? [] : [`64 bytes from 10.0.0.1: icmp_seq=${i} ttl=64 time=${t} ms`],
          );
          const found = readPing([...lines, `${times.length} packets transmitted`].join('\n'));
          const answered = times.filter((t) => t !== null).length;
          expect(found.whole.find((w) => w.quantity === 'loss')?.value).toBeCloseTo(
            (100 * (times.length - answered)) / times.length,
            9,
          );
        },
      ),
    );
  });
});
