import { MOST_PROBE_S, type ProbeTicket } from '@urvek/contract';
import { randomBytes } from 'node:crypto';
import type { Clock } from '../clock.ts';

/** A ticket that nobody comes with is free again after this, ms. */
const UNUSED_MS = 10_000;

/** What one run may still do. */
export interface Turn {
  readonly ticket: string;
  /** From then on it is over, whatever it does. */
  readonly untilMs: number;
  /** Connections that are open on it. */
  open: number;
  /** It has begun: it ends with its last connection. */
  begun: boolean;
}

/** One probe at a time: two would measure each other. */
export class ProbeDesk {
  private turn: Turn | undefined;
  private unusedMs = 0;

  constructor(private readonly clock: Clock) {}

  /** The turn, or undefined while another has it. */
  take(seconds: number, sameMachine: boolean): ProbeTicket | undefined {
    if (this.current()) return undefined;
    const ticket = randomBytes(24).toString('base64url');
    const forMs = 1000 * Math.min(MOST_PROBE_S, seconds);
    this.turn = { ticket, untilMs: this.clock.now().getTime() + UNUSED_MS + forMs, open: 0, begun: false };
    this.unusedMs = this.clock.now().getTime() + UNUSED_MS;
    return { ticket, sameMachine };
  }

  /** The turn of a ticket, while it lasts. */
  of(ticket: string): Turn | undefined {
    const turn = this.current();
    return turn?.ticket === ticket ? turn : undefined;
  }

  /** For so long it may still go on, ms. */
  leftMs({ untilMs }: Turn): number {
    return Math.max(0, untilMs - this.clock.now().getTime());
  }

  opened(turn: Turn): void {
    turn.open++;
    turn.begun = true;
  }

  closed(turn: Turn): void {
    turn.open--;
    // Between two parts of a run no stream is open, but its control is.
    if (turn.open === 0 && this.turn === turn) this.turn = undefined;
  }

  private current(): Turn | undefined {
    const now = this.clock.now().getTime();
    const { turn } = this;
    if (turn && (now > turn.untilMs || (!turn.begun && now > this.unusedMs))) this.turn = undefined;
    return this.turn;
  }
}
