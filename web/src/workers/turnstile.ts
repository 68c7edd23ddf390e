import { nowMs } from '../field/time.ts';

/** Work that never waits for anything hears nobody: so often it lets in what was said to it, ms. */
const LISTEN_EVERY_MS = 100;

/** Lets long work through piece by piece, and holds it while somebody wants that. */
export class Turnstile {
  private opened: Promise<void> | undefined;
  private open: () => void = () => undefined;
  private listenedMs = nowMs();

  get held(): boolean {
    return this.opened !== undefined;
  }

  hold(): void {
    this.opened ??= new Promise((resolve) => (this.open = resolve));
  }

  goOn(): void {
    this.open();
    this.opened = undefined;
  }

  /** At once, or when it goes on. */
  async pass(): Promise<void> {
    await this.listen();
    await this.opened;
  }

  /** Lets in what was said to the work, now and then. */
  async listen(): Promise<void> {
    if (nowMs() - this.listenedMs < LISTEN_EVERY_MS) return;
    await new Promise((resolve) => setTimeout(resolve));
    this.listenedMs = nowMs();
  }
}
