import { medianOfOrdered } from '../numeric/median.ts';

/** What is usual is told by so many figures. */
const REMEMBERED = 150;

/** The last figures of a kind, and what is usual among them. Constant memory. */
export class Usual {
  /** In the order in which they came, round and round. */
  private readonly came: number[] = [];
  private readonly ordered: number[] = [];
  private next = 0;

  get count(): number {
    return this.ordered.length;
  }

  /** @throws RangeError before the first figure */
  get median(): number {
    return medianOfOrdered(this.ordered);
  }

  /** The figure that `share` of them are less than; undefined before the first. */
  quantile(share: number): number | undefined {
    return this.ordered[Math.floor(share * this.ordered.length)];
  }

  remember(figure: number): void {
    const old = this.came[this.next];
    if (old !== undefined) this.ordered.splice(this.ordered.indexOf(old), 1);
    const at = this.ordered.findIndex((other) => other > figure);
    this.ordered.splice(at < 0 ? this.ordered.length : at, 0, figure);
    this.came[this.next] = figure;
    this.next = (this.next + 1) % REMEMBERED;
  }
}
