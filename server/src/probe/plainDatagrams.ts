import { createSocket } from 'node:dgram';
import { isIPv6 } from 'node:net';
import { once } from 'node:events';
import { DatagramRun, type DatagramEnd } from './datagrams.ts';

/** A word by which a program is known, as it offers it: 16 random bytes. */
const WORD = /^[0-9a-f]{32}$/;

/**
 * A port for a program's plain datagrams, at the address at which it asked. Only who says the word is heard and
 * answered, and from then on nobody else. @throws Error for a word that is none, or where no port can be had
 */
export async function openPlain(
  word: string,
  address: string,
): Promise<{ end: DatagramEnd; answer: string }> {
  if (!WORD.test(word)) throw new Error('the offer was not understood: no word of 16 bytes');
  const socket = createSocket(isIPv6(address) ? 'udp6' : 'udp4');
  let to: { address: string; port: number } | undefined;
  const run = new DatagramRun((data) => to && socket.send(data, to.port, to.address));
  socket.on('error', () => run.end());
  socket.on('message', (data, from) => {
    if (data.toString('latin1') === word) {
      to ??= { address: from.address, port: from.port };
      if (from.port === to.port && from.address === to.address) socket.send(data, to.port, to.address);
    } else if (from.port === to?.port && from.address === to.address) run.take(data);
  });
  socket.bind(0, address);
  await once(socket, 'listening');
  return {
    answer: String(socket.address().port),
    end: {
      arrivals: run.arrivals,
      send: run.send,
      close: () => {
        run.end();
        socket.close();
      },
    },
  };
}
