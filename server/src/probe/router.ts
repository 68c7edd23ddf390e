import { probeAskSchema } from '@urvek/contract';
import { Router, type Request } from 'express';
import { networkInterfaces } from 'node:os';
import { jsonBody } from '../api/body.ts';
import { STRICT } from '../api/parts.ts';
import { refuse } from '../api/who.ts';
import type { ProbeDesk } from './desk.ts';

/** Who asks is this very machine: by loopback, or by an address of its own. */
export function isSameMachine(remoteAddress: string | undefined): boolean {
  const plain = (remoteAddress ?? '').replace(/^::ffff:/, '');
  return (
    plain === '::1' ||
    plain.startsWith('127.') ||
    Object.values(networkInterfaces()).some((list) => list?.some((i) => i.address === plain))
  );
}

/** Asks for the one turn there is: whoever may use the API may measure, one at a time. */
export function probeRouter(desk: ProbeDesk): Router {
  const router = Router();
  router.post('/', jsonBody({ bytes: 200, values: 10 }), async (request: Request, response) => {
    const { seconds } = await probeAskSchema.validate(request.body, STRICT);
    const ticket = desk.take(seconds, isSameMachine(request.socket.remoteAddress));
    if (!ticket)
      return refuse(response, 429, {
        what: 'Another probe is under way: two at a time would measure each other.',
        kept: 'Nothing was measured.',
        todo: 'Try again when it is over; a run takes half a minute.',
      });
    return void response.set('Cache-Control', 'no-store').status(201).json(ticket);
  });
  return router;
}
