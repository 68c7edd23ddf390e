import { fieldLog } from '../field/fieldLog.ts';
import * as phrases from './phrases.ts';

/** The key to the base on this machine: in the address when Urvek is opened as the start says, kept on this device. */
const FACT = phrases.baseKey;
const KEY_HEADER = 'X-Urvek-Key';

/** Takes the key out of the page's address, where it shall not stay. Before anything is asked of the base. */
export async function takeKeyFromAddress(): Promise<void> {
  const address = new URL(location.href);
  const value = address.searchParams.get('key');
  if (value === null) return;
  key = value;
  await fieldLog.facts.put({ name: FACT, value }).catch(() => undefined);
  address.searchParams.delete('key');
  history.replaceState(history.state, '', address);
}

let key: string | undefined;

/**
 * Reads the key that this device keeps: none on phones, which are paired. @returns whether it is another one than was
 * sent so far
 */
export async function readKey(): Promise<boolean> {
  const known = await fieldLog.facts.get(FACT).catch(() => undefined);
  if (known === undefined || known.value === key) return false;
  key = known.value;
  return true;
}

/**
 * What goes with a request at once: mostly the cookie says who asks, and storage is slow to open. Cookies go with a
 * crash; the key stays, and is sent as soon as it was read.
 */
export const keyHeader = (): Record<string, string> => (key === undefined ? {} : { [KEY_HEADER]: key });
