import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DATAGRAM_BYTES, readDatagram, readProbeAsk, writeDatagram } from './probe.ts';

describe('what a probe says', () => {
  test('a datagram is read as it was written, wherever it stands in its buffer', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2 ** 32 - 1 }),
        fc.double({ noNaN: true, min: 0, max: 1e12 }),
        fc.integer({ min: 0, max: 64 }),
        (seq, sentMs, offset) => {
          const within = new Uint8Array(DATAGRAM_BYTES + 64).subarray(offset, offset + DATAGRAM_BYTES);
          writeDatagram(within, seq, sentMs);
          expect(readDatagram(within)).toEqual({ seq, sentMs });
        },
      ),
    );
    expect(() => readDatagram(new Uint8Array(11))).toThrow('invalid datagram: 11 bytes');
  });

  test('what is asked is read strictly', () => {
    expect(readProbeAsk('{"say":"count","on":true}')).toEqual({ say: 'count', on: true });
    expect(readProbeAsk('{"say":"load"}')).toEqual({ say: 'load' });
    for (const wrong of [
      '',
      '[]',
      '{"say":"more"}',
      '{"say":"send datagrams","count":1e9,"everyMs":1}',
      '{"say":"load","x":1}',
    ])
      expect(() => readProbeAsk(wrong)).toThrow();
  });
});
