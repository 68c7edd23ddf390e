import { GEAR_SOCKET_PATH, type GearAnswer } from '@urvek/contract';
import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { WebSocketServer, type WebSocket } from 'ws';
import { ValidationError } from 'yup';
import type { Who } from '../api/who.ts';
import { shut } from '../sockets.ts';
import { Conflict, NotFound, type Storage } from '../storage/port.ts';
import { GearLog } from './gearLog.ts';

const MOST_BYTES = 1 << 16;
/** Faster is no notice of anything: a wheel tells ten times a second. */
const MOST_PER_S = 100;

/**
 * Takes what gear hands in, line by line: each is kept before it is answered, in the order in which it came. Who has no
 * key, or is not of here, is not let in. @returns what ends those that are open
 */
export function openGearSockets(
  server: Server,
  storage: Storage,
  whoOf: (request: IncomingMessage) => Promise<Who | undefined>,
): () => void {
  const sockets = new WebSocketServer({ noServer: true, perMessageDeflate: false, maxPayload: MOST_BYTES });
  server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
    if (new URL(request.url ?? '/', 'http://here').pathname !== GEAR_SOCKET_PATH) return;
    void whoOf(request).then(
      (who) => {
        if (!who) return shut(socket);
        return sockets.handleUpgrade(request, socket, head, (ws) => serveGear(ws, storage, who));
      },
      () => shut(socket),
    );
  });
  return () => {
    for (const ws of sockets.clients) ws.terminate();
  };
}

function serveGear(ws: WebSocket, storage: Storage, who: Who): void {
  const log = new GearLog(storage, who, () => performance.timeOrigin + performance.now());
  const answer = (said: GearAnswer): void => {
    if (ws.readyState === ws.OPEN) ws.send(JSON.stringify(said));
  };
  let chain = Promise.resolve();
  let [second, count] = [0, 0];
  ws.on('error', () => ws.terminate());
  // Where the database is away too, nothing is left to say it to.
  ws.on('close', () => {
    chain = chain.then(() => log.left()).catch(() => undefined);
  });
  ws.on('message', (data: Buffer) => {
    const lines = data
      .toString('utf8')
      .split('\n')
      .filter((l) => l.trim() !== '');
    const now = Math.floor(performance.now() / 1000);
    [second, count] = now === second ? [second, count + lines.length] : [now, lines.length];
    if (count > MOST_PER_S) return ws.close(1008, `more than ${MOST_PER_S} lines a second`);
    for (const line of lines)
      chain = chain.then(async () => {
        answer(await log.take(line).catch((error: unknown) => ({ refused: whyOf(storage, error) })));
      });
    return undefined;
  });
}

function whyOf(storage: Storage, error: unknown): string {
  if (error instanceof ValidationError || error instanceof NotFound) return error.message;
  if (error instanceof SyntaxError) return `this is no JSON: ${error.message}`;
  if (error instanceof Conflict)
    return 'another piece of gear of the same name writes to this walk; give each a name of its own';
  return storage.meaningOf(error) === undefined
    ? 'Urvek failed on it; nothing of this line was kept'
    : 'the database does not answer now; nothing of this line was kept: send it again';
}
