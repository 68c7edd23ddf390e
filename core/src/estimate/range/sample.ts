import type { WalkInterval } from '../../walk/walkInterval.ts';
import { boundsOf, type Bounds } from './commonBracket.ts';
import { observedOf } from './ends.ts';

/** The walks of one product, with what each comparison with another asks of them. */
export interface Sample {
  readonly walks: readonly WalkInterval[];
  readonly observed: { readonly least: number; readonly greatest: number };
  readonly boundsByPath: ReadonlyMap<string, Bounds>;
  /** Undefined where not every walk says on which outing it was made. */
  readonly outings: ReadonlySet<string> | undefined;
}

function sampleOf(walks: readonly WalkInterval[]): Sample {
  const outings = new Set<string>();
  for (const { outing } of walks) if (outing !== undefined) outings.add(outing);
  return {
    walks,
    observed: observedOf(walks),
    boundsByPath: new Map(
      Array.from(
        grouped(walks, (w) => w.path),
        ([path, own]) => [path, boundsOf(own)],
      ),
    ),
    outings: walks.every((w) => w.outing !== undefined) ? outings : undefined,
  };
}

export const NO_SAMPLE = sampleOf([]);

export const samplesByProduct = (walks: readonly WalkInterval[]): Map<string, Sample> =>
  new Map(
    Array.from(
      grouped(walks, (w) => w.product),
      ([product, own]) => [product, sampleOf(own)],
    ),
  );

function grouped(
  walks: readonly WalkInterval[],
  of: (walk: WalkInterval) => string,
): Map<string, WalkInterval[]> {
  const lists = new Map<string, WalkInterval[]>();
  for (const w of walks) {
    const key = of(w);
    const list = lists.get(key);
    if (list) list.push(w);
    else lists.set(key, [w]);
  }
  return lists;
}
