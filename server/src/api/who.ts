import type { Problem, Role } from '@urvek/contract';
import type { RequestHandler, Response } from 'express';
import type { Storage } from '../storage/port.ts';

/** Who asks: the owner, at this machine, or a paired device. */
export interface Who {
  readonly role: Role;
  readonly name: string;
  /** A paired device's. */
  readonly deviceId?: string;
}

export const OWNER: Who = { role: 'owner', name: 'this machine' };

export const isWho = (response: Response, who: Who): void => {
  response.locals.who = who;
};
/** Nobody came in but through the gate; on loopback that is the owner. */
export const whoOf = (response: Response): Who => (response.locals.who as Who | undefined) ?? OWNER;

const RANK: Readonly<Record<Role, number>> = { logger: 0, editor: 1, owner: 2 };
const ONLY: Readonly<Record<Role, string>> = {
  logger: 'a paired device',
  editor: 'a device that may change comparisons, or the machine that runs Urvek',
  owner: 'the machine that runs Urvek',
};

/** A device that may only log sees its own walks: those it registered, or joined by their code. */
export async function mayRead(
  storage: Storage,
  { role, deviceId }: Who,
  walkIds: readonly string[],
): Promise<(walkId: string) => boolean> {
  if (role !== 'logger' || deviceId === undefined) return () => true;
  const own = await storage.readableBy(deviceId, walkIds);
  return (id) => own.has(id);
}

/** What a device registers or joins is its own from then on. */
export async function isOwn(storage: Storage, { deviceId }: Who, walkId: string): Promise<void> {
  if (deviceId !== undefined) await storage.letRead(deviceId, walkId);
}

export function refuse(response: Response, status: 401 | 403 | 429, problem: Omit<Problem, 'code'>): void {
  response.status(status).json({ code: 'refused', ...problem } satisfies Problem);
}

/** Lets those through who may do it. */
export const requires =
  (role: Role): RequestHandler =>
  (_request, response, next) => {
    if (RANK[whoOf(response).role] >= RANK[role]) return next();
    refuse(response, 403, {
      what: `This device may log walks and read, not do this: only ${ONLY[role]} may.`,
      kept: 'Nothing was changed.',
      todo: 'Do it there, or pair this device anew with more rights, under Devices.',
    });
  };
