import { fieldLog } from '../field/fieldLog.ts';

/** The key to the base on this machine: in the address when Urvek is opened as the start says, kept on this device. */
const FACT = 'base key';
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

let read: Promise<string | undefined> | undefined;
let key: string | undefined;

/** The key that this device keeps; undefined where it has none, as phones do, which are paired. */
export function keptKey(): Promise<string | undefined> {
  read ??= fieldLog.facts.get(FACT).then(
    (known) => (key = known?.value),
    () => undefined,
  );
  return read;
}

/**
 * What goes with a request at once: mostly the cookie says who asks, and storage is slow to open. Cookies go with a
 * crash; the key stays, and is sent as soon as it was read.
 */
export const keyHeader = (): Record<string, string> => (key === undefined ? {} : { [KEY_HEADER]: key });
