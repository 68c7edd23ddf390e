import { GEAR_SOCKET_PATH, PROBE_SOCKET_PATH } from '@urvek/contract';
import type { Server } from 'node:http';
import type { Duplex } from 'node:stream';

/** Refuses a connection that wants to become a socket. */
export function shut(socket: Duplex): void {
  socket.end('HTTP/1.1 403 Forbidden\r\nConnection: close\r\nContent-Length: 0\r\n\r\n');
}

/** Nothing but these paths becomes a socket. */
export function shutOthers(server: Server): void {
  const paths = [GEAR_SOCKET_PATH, PROBE_SOCKET_PATH];
  server.on('upgrade', (request, socket: Duplex) => {
    if (!paths.includes(new URL(request.url ?? '/', 'http://here').pathname)) shut(socket);
  });
}
