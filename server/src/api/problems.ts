import { BadEvent, InterchangeError, type Problem } from '@urvek/contract';
import type { ErrorRequestHandler, Response } from 'express';
import { ValidationError } from 'yup';
import { Conflict, NotFound, type Storage, type Unavailable } from '../storage/port.ts';

const send = (response: Response, status: number, problem: Problem): void => {
  response.status(status).json(problem);
};

/** After so long it is worth asking again. */
const RETRY_AFTER_S = 2;

export function sendAway(response: Response, { message }: Unavailable): void {
  response.set('Retry-After', String(RETRY_AFTER_S));
  send(response, 503, {
    code: 'failed',
    what: `The database does not answer now (${message.slice(0, 200)}).`,
    kept: 'What was stored before stands; what a device has logged stays on it.',
    todo: 'It is tried again by itself. If it stays so, look at the output of Urvek.',
  });
}

/** One place where errors become answers. `report` gets those that are ours. */
export const problemHandler =
  (report: (error: unknown) => void, unavailable: Storage['unavailable']): ErrorRequestHandler =>
  (error: unknown, _request, response, _next) => {
    const { status } = error as { status?: number };
    const kept = 'Nothing of this request was stored.';
    if (error instanceof BadEvent)
      return send(response, 422, {
        code: 'invalid',
        what: error.message,
        kept,
        todo: 'Set that event aside and send the rest.',
        positions: [error.position],
      });
    if (error instanceof InterchangeError)
      return send(response, 422, {
        code: 'invalid',
        what: `The file was not imported: ${error.message}.`,
        kept,
        todo: 'Mend what is named, or choose another file.',
      });
    if (error instanceof ValidationError)
      return send(response, 422, {
        code: 'invalid',
        what: error.errors.join('; '),
        kept,
        todo: 'Mend what is named and send it again.',
      });
    if (error instanceof Conflict) {
      return send(response, 409, {
        code: 'conflict',
        what: error.message,
        kept: 'What was stored first stands. ' + kept,
        todo: error.positions
          ? 'Set those events aside and send the rest.'
          : 'Load it again and repeat the change.',
        positions: error.positions,
      });
    }
    if (error instanceof NotFound)
      return send(response, 404, {
        code: 'not-found',
        what: error.message,
        kept,
        todo: 'Check the address, or register it first.',
      });
    if (status === 413)
      return send(response, 413, {
        code: 'too-large',
        what: 'The request is too large.',
        kept,
        todo: 'Send it in halves.',
      });
    if (status === 400)
      return send(response, 400, {
        code: 'invalid',
        what: 'The request is not readable JSON.',
        kept,
        todo: 'Send it again.',
      });
    const away = unavailable(error);
    if (away) return sendAway(response, away);
    report(error);
    send(response, 500, {
      code: 'failed',
      what: 'The server failed on this request.',
      kept: 'What was stored before stands.',
      todo: 'Try again; if it fails again, look at the server’s output.',
    });
  };
