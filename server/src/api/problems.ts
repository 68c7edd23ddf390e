import { BadEvent, cutText, InterchangeError, type Problem } from '@urvek/contract';
import type { ErrorRequestHandler, Response } from 'express';
import { ValidationError } from 'yup';
import { BadBody } from './body.ts';
import { Conflict, Gone, NotFound, Unavailable, type Storage } from '../storage/port.ts';

const send = (response: Response, status: number, problem: Problem): void => {
  response.status(status).json(problem);
};

/** So many faults are named, and of each so many signs: what came in is not sent back at length. */
const MOST_NAMED = 10;
const MOST_SIGNS = 200;

function brief(errors: readonly string[]): string {
  const named = errors
    .slice(0, MOST_NAMED)
    .map((e) => (e.length > MOST_SIGNS ? `${cutText(e, MOST_SIGNS)} …` : e));
  const more = errors.length - named.length;
  return [...named, ...(more > 0 ? [`and ${more} more`] : [])].join('; ');
}

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
  (report: (error: unknown) => void, meaningOf: Storage['meaningOf']): ErrorRequestHandler =>
  (error: unknown, _request, response, _next) => {
    const { status } = error as { status?: number };
    const kept = 'Nothing of this request was stored.';
    if (error instanceof BadEvent)
      return send(response, 422, {
        code: 'invalid',
        what: brief([error.message]),
        kept,
        todo: 'Set that event aside and send the rest.',
        positions: [error.position],
      });
    if (error instanceof InterchangeError)
      return send(response, 422, {
        code: 'invalid',
        what: `The file was not imported: ${brief([error.message])}.`,
        kept,
        todo: 'Mend what is named, or choose another file.',
      });
    if (error instanceof ValidationError)
      return send(response, 422, {
        code: 'invalid',
        what: brief(error.errors),
        kept,
        todo: 'Mend what is named and send it again.',
      });
    if (error instanceof Conflict) {
      return send(response, 409, {
        code: 'conflict',
        what: brief([error.message]),
        kept: 'What was stored first stands. ' + kept,
        todo: error.positions
          ? 'Set those events aside and send the rest.'
          : 'Load it again and repeat the change.',
        positions: error.positions,
      });
    }
    if (error instanceof Gone)
      return send(response, 410, {
        code: 'gone',
        what: brief([error.message]),
        kept: 'What a device has of it stays on it, and the backup that was made before has all of it.',
        todo: 'To have it back, put that backup back.',
      });
    if (error instanceof NotFound)
      return send(response, 404, {
        code: 'not-found',
        what: brief([error.message]),
        kept,
        todo: 'Check the address, or register it first.',
      });
    if (error instanceof BadBody) {
      // What is still coming in is not waited for.
      response.set('Connection', 'close');
      return send(response, error.status, {
        code: error.status === 413 ? 'too-large' : 'invalid',
        what: `The request is not taken: ${error.message}.`,
        kept,
        todo: error.status === 413 ? 'Send it in halves.' : 'Send JSON in UTF-8.',
      });
    }
    if (status !== undefined && status >= 400 && status < 500)
      return send(response, status, {
        code: 'invalid',
        what: 'The request is not readable.',
        kept,
        todo: 'Check the address, and send it again.',
      });
    const meaning = meaningOf(error);
    if (meaning instanceof Unavailable) return sendAway(response, meaning);
    if (meaning)
      return send(response, 422, {
        code: 'invalid',
        what: `A value cannot be stored: ${brief([meaning.message])}.`,
        kept,
        todo: 'Mend it and send it again.',
      });
    report(error);
    send(response, 500, {
      code: 'failed',
      what: 'The server failed on this request.',
      kept: 'What was stored before stands.',
      todo: 'Try again; if it fails again, look at the server’s output.',
    });
  };
