/** Names the background sync of the field log. */
export const SYNC_TAG = 'urvek-field';

interface SyncRegistration extends ServiceWorkerRegistration {
  readonly sync?: { register(tag: string): Promise<void> };
}

/** A page of somebody who was never here has shown itself by then; all the others are fetched after it. */
const FIRST_AFTER_MS = 3000;

/** Said to a newer version that waits. */
export const TAKE_OVER = 'urvek: take over';

/**
 * Makes the application installable and there without a network, where the browser allows it. A newer version waits
 * until a page begins while no walk is under way, and then takes over before anything is done in it. `onFirst`: what
 * was fetched before the first one was there is fetched once more, so that it is kept.
 */
export function registerServiceWorker(isWalking: () => Promise<boolean>, onFirst: () => void): void {
  if (!('serviceWorker' in navigator)) return;
  const { serviceWorker } = navigator;
  const first = serviceWorker.controller === null;
  serviceWorker.addEventListener('controllerchange', () => (first ? onFirst() : location.reload()), {
    once: true,
  });
  // Refused on an address that is not secure: everything works, but not offline.
  const register = (): void =>
    void serviceWorker
      .register('/serviceWorker.js', { type: 'classic' })
      .then(async ({ waiting }) => {
        if (waiting && !(await isWalking())) waiting.postMessage(TAKE_OVER);
      })
      .catch(() => undefined);
  if (first) setTimeout(register, FIRST_AFTER_MS);
  else register();
}

/** Asks the browser to send what waits when there is a link again, page or no page. */
export async function askBackgroundSync(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const registration: SyncRegistration = await navigator.serviceWorker.ready;
  await registration.sync?.register(SYNC_TAG).catch(() => undefined);
}
