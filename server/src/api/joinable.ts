import { joinCode, tidyCode, type WalkHeader } from '@urvek/contract';
import { NotFound, type Storage } from '../storage/port.ts';

/** A walk can be joined so long after its begin: its other end may be logged the day after. */
const JOINABLE_MS = 2 * 86_400_000;

/** The walk whose code is typed at another device. @throws NotFound */
export async function joinable(storage: Storage, typed: string): Promise<WalkHeader> {
  const code = tidyCode(typed);
  const header = (await storage.walksSince(storage.now().getTime() - JOINABLE_MS)).find(
    (w) => joinCode(w.id) === code,
  );
  if (!header) throw new NotFound(`no walk of the last two days has the code ${code}`);
  return header;
}
