/** Names the background sync of the field log. */
export const SYNC_TAG = 'urvek-field';

interface SyncRegistration extends ServiceWorkerRegistration {
  readonly sync?: { register(tag: string): Promise<void> };
}

/** Makes the application installable and there without a network, where the browser allows it. */
export function registerServiceWorker(): void {
  if (!('serviceWorker' in navigator)) return;
  // Refused on an address that is not secure: everything works, but not offline.
  void navigator.serviceWorker.register('/serviceWorker.js', { type: 'classic' }).catch(() => undefined);
}

/** Asks the browser to send what waits when there is a link again, page or no page. */
export async function askBackgroundSync(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const registration: SyncRegistration = await navigator.serviceWorker.ready;
  await registration.sync?.register(SYNC_TAG).catch(() => undefined);
}
