import { medianOfOrdered } from '../numeric/median.ts';

/** The usual change is the median of so many frames that moved. */
const REMEMBERED = 150;

/** How much a dot of a film changes from frame to frame, of the last frames that moved. Constant memory. */
export class UsualChange {
  /** In the order in which they came, round and round. */
  private readonly came: number[] = [];
  private readonly ordered: number[] = [];
  private next = 0;

  get frames(): number {
    return this.ordered.length;
  }

  /** @throws RangeError before the first frame */
  get median(): number {
    return medianOfOrdered(this.ordered);
  }

  /** What `share` of the frames change by less than, `least` of them at least; undefined where there are no more. */
  rare(share: number, least: number): number | undefined {
    return this.ordered[Math.max(least, Math.floor(share * this.ordered.length))];
  }

  remember(change: number): void {
    const old = this.came[this.next];
    if (old !== undefined) this.ordered.splice(this.ordered.indexOf(old), 1);
    const at = this.ordered.findIndex((other) => other > change);
    this.ordered.splice(at < 0 ? this.ordered.length : at, 0, change);
    this.came[this.next] = change;
    this.next = (this.next + 1) % REMEMBERED;
  }
}
