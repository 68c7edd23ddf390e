import { fieldLog } from '../field/fieldLog.ts';

/** The key to the base on this machine: in the address when Urvek is opened as the start says, kept on this device. */
const FACT = 'base key';
const KEY_HEADER = 'X-Urvek-Key';

/** Takes the key out of the page's address, where it shall not stay. Before anything is asked of the base. */
export async function takeKeyFromAddress(): Promise<void> {
  const address = new URL(location.href);
  const value = address.searchParams.get('key');
  if (value === null) return;
  await fieldLog.facts.put({ name: FACT, value }).catch(() => undefined);
  address.searchParams.delete('key');
  history.replaceState(history.state, '', address);
}

/** Cookies go with a crash; this stays. Empty where this device has none, as phones do, which are paired. */
export async function keyHeader(): Promise<Record<string, string>> {
  const known = await fieldLog.facts.get(FACT).catch(() => undefined);
  return known ? { [KEY_HEADER]: known.value } : {};
}
