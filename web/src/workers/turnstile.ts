/** Lets long work through piece by piece, and holds it while somebody wants that. */
export class Turnstile {
  private opened: Promise<void> | undefined;
  private open: () => void = () => undefined;

  hold(): void {
    this.opened ??= new Promise((resolve) => (this.open = resolve));
  }

  goOn(): void {
    this.open();
    this.opened = undefined;
  }

  /** At once, or when it goes on. */
  async pass(): Promise<void> {
    await this.opened;
  }
}
