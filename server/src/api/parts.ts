import { checkTexts } from '@urvek/contract';
import type { RequestHandler, Router } from 'express';
import { Conflict, NotFound, type Storage } from '../storage/port.ts';
import type { JobQueue } from '../jobs/queue.ts';
import type { ProbeDesk } from '../probe/desk.ts';
import type { Answers } from '../findings/answers.ts';
import type { Heavy } from '../heavy.ts';

/** What a resource is made of. */
export interface Parts {
  readonly storage: Storage;
  readonly heavy: Heavy;
  readonly answers: Answers;
  readonly jobs: JobQueue;
  /** Whose turn it is to measure. */
  readonly desk: ProbeDesk;
  readonly backupBefore?: (what: string) => Promise<string>;
}

/** Nothing is removed for good without a backup. @returns its file @throws Conflict where none can be made */
export async function backedUp(backupBefore: Parts['backupBefore']): Promise<string> {
  if (!backupBefore)
    throw new Conflict(
      'No backup can be made first, on a database of somebody else’s: nothing is removed for good',
    );
  return backupBefore('removing');
}

/** Bodies are checked against schemas that convert nothing and name every fault. */
export const STRICT = { strict: true, abortEarly: false } as const;

/** Text that no database can hold is refused by the name of its field. */
export const onlyText: RequestHandler = (request, _response, next) => {
  checkTexts(request.body);
  next();
};

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** An id in an address that is none is not looked for. */
export function checkIds(router: Router): void {
  router.param('id', (_request, _response, next, id: string) =>
    next(UUID.test(id) ? undefined : new NotFound(`no such id: ${id}`)),
  );
}

/** Ends a long answer's work when its reader goes away. */
export function abortWith(response: Parameters<RequestHandler>[1]): AbortSignal {
  const controller = new AbortController();
  response.once('close', () => controller.abort());
  return controller.signal;
}
