import { SIDES, type Side, WANTED_CRITERIA, type WantedCriterion } from '@urvek/core';
import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';

/** What is looked at in Trace, Ranges, Verdict and Report: chosen once, kept in the address from stage to stage. */
export interface Lens {
  readonly kindId: string | undefined;
  readonly pathId: string | undefined;
  readonly productId: string | undefined;
  /** Undefined: the plan's. */
  readonly criterion: WantedCriterion | undefined;
  /** Undefined: as walked. */
  readonly side: Side | undefined;
}

/** Names in the address. */
const PARAMS = {
  kindId: 'kind',
  pathId: 'path',
  productId: 'product',
  criterion: 'criterion',
  side: 'direction',
} as const satisfies Record<keyof Lens, string>;

/** The lens's part of an address, to be taken along to the next stage. */
export function lensSearch(params: URLSearchParams): string {
  const kept = new URLSearchParams();
  for (const name of Object.values(PARAMS)) {
    const value = params.get(name);
    if (value !== null) kept.set(name, value);
  }
  return kept.size === 0 ? '' : `?${kept.toString()}`;
}

/** The lens, and what changes a part of it; what is chosen on the stage stands beside it in the address. */
export function useLens(): [Lens, (change: Partial<Lens>) => void] {
  const [params, setParams] = useSearchParams();
  const lens = useMemo((): Lens => {
    const of = (name: string): string | undefined => params.get(name) ?? undefined;
    return {
      kindId: of(PARAMS.kindId),
      pathId: of(PARAMS.pathId),
      productId: of(PARAMS.productId),
      criterion: WANTED_CRITERIA.find((c) => c === of(PARAMS.criterion)),
      side: SIDES.find((s) => s === of(PARAMS.side)),
    };
  }, [params]);
  const change = useCallback(
    (part: Partial<Lens>) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const key of Object.keys(part) as (keyof Lens)[]) {
            const value = part[key];
            if (value === undefined) next.delete(PARAMS[key]);
            else next.set(PARAMS[key], value);
          }
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return [lens, change];
}

/**
 * Changes what is selected on a stage, all of it in one step that "back" takes back, unless it takes the place of what
 * was selected before; undefined takes a name out.
 */
export function useSelect(replace = false): (change: Readonly<Record<string, string | undefined>>) => void {
  const [, setParams] = useSearchParams();
  return useCallback(
    (change) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [name, value] of Object.entries(change))
            if (value === undefined) next.delete(name);
            else next.set(name, value);
          return next;
        },
        { preventScrollReset: true, replace },
      ),
    [setParams, replace],
  );
}

/** One thing that is selected, by its name in the address. Two of them are changed together by `useSelect`. */
export function useSelected(
  name: string,
  replace = false,
): [string | undefined, (value: string | undefined) => void] {
  const [params] = useSearchParams();
  const change = useSelect(replace);
  const select = useCallback((value: string | undefined) => change({ [name]: value }), [name, change]);
  return [params.get(name) ?? undefined, select];
}
