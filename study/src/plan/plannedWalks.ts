import { byIdentity, balancedOrder, type EndReason, type Slot } from '@urvek/core';
import type { Product, Rig, Setup, WalkVariant, WalkHeader } from '@urvek/contract';
import type { SetupPath } from '../results/findings.ts';

/** A path must outrun what it tests by this much, or the result will be a bound. */
export const OUTRUN = 1.5;

export interface PlannedWalk {
  readonly product: Product;
  readonly rig: Rig;
  readonly path: SetupPath;
  readonly variant: WalkVariant;
}

/** A rig with its units exchanged between the ends. */
export const swapEnds = (rig: Rig): Rig => ({
  ...rig,
  unitFixedId: rig.unitMobileId,
  unitMobileId: rig.unitFixedId,
});

/**
 * The rigs and paths that the plan takes: those chosen, else the first rig of every product and every path.
 */
export function plannedRigs({ products, plan }: Setup): { product: Product; rig: Rig }[] {
  return products.flatMap((product) => {
    const chosen = plan.rigIds && product.rigs.filter((r) => plan.rigIds?.includes(r.id));
    return (chosen ?? product.rigs.slice(0, 1)).map((rig) => ({ product, rig }));
  });
}

export const plannedPaths = ({ paths, plan }: Setup): SetupPath[] =>
  plan.pathIds ? paths.filter((p) => plan.pathIds?.includes(p.id)) : paths;

/** In turn by product, so that two rigs of one do not follow each other: what is compared is products. */
function inTurn<T extends { readonly product: Product }>(rigs: readonly T[]): T[] {
  const nth = (rig: T): number => rigs.filter((r) => r.product === rig.product).indexOf(rig);
  return [...rigs].sort((a, b) => nth(a) - nth(b));
}

/**
 * Path by path and round by round, kind by kind, every rig in a balanced order among those that it is
 * compared with; then, where the plan wants them, each rig with its ends swapped, and the first walk of the
 * path once more.
 */
export const plannedWalks = byIdentity((setup: Setup): Slot<PlannedWalk>[] => {
  const { plan } = setup;
  const rigs = plannedRigs(setup);
  const kinds = [...new Set(rigs.map((r) => r.product.kindId))];
  const byKind = kinds.map((kindId) =>
    balancedOrder(inTurn(rigs.filter((r) => r.product.kindId === kindId)), plan.walksEach),
  );
  return plannedPaths(setup).flatMap((path) => {
    const of = (variant: WalkVariant, { product, rig }: (typeof rigs)[number]): PlannedWalk => ({
      product,
      rig: variant === 'ends swapped' ? swapEnds(rig) : rig,
      path,
      variant,
    });
    const after = (list: PlannedWalk[], round: number): Slot<PlannedWalk>[] =>
      list.map((item, i) => ({ round, place: i + 1, item }));
    const rounds = Array.from({ length: plan.walksEach }, (_, r) =>
      after(
        byKind.flatMap((slots) => slots.filter((s) => s.round === r + 1).map((s) => of('plain', s.item))),
        r + 1,
      ),
    ).flat();
    const swaps = plan.swapEnds
      ? after(
          rigs.map((r) => of('ends swapped', r)),
          plan.walksEach + 1,
        )
      : [];
    const [first] = rounds;
    return [
      ...rounds,
      ...swaps,
      ...(plan.repeatBaseline && first
        ? after([{ ...first.item, variant: 'baseline' }], plan.walksEach + 2)
        : []),
    ];
  });
});

/** What the plan asks of a walk. */
export interface Walked {
  readonly header: WalkHeader;
  readonly endReason: EndReason | undefined;
  /** Why it is in no result. */
  readonly leftOut?: string | undefined;
  /** Another device's. */
  readonly withheld?: true;
}

/**
 * A planned walk with the walk that fills it: the one that was made for it, else finished walks of its rig
 * in order.
 */
export interface SlotState<W extends Walked> extends Slot<PlannedWalk> {
  readonly walk: W | undefined;
}

export function planState<W extends Walked>(setup: Setup, walks: readonly W[]): SlotState<W>[] {
  const left = new Map<string, W[]>();
  for (const walk of walks) {
    // A walk that was left out fills no place of the plan.
    if (!walk.endReason || walk.leftOut !== undefined) continue;
    const key = `${walk.header.productId}/${walk.header.pathId}`;
    const own = left.get(key);
    if (own) own.push(walk);
    else left.set(key, [walk]);
  }
  const take = ({ item }: Slot<PlannedWalk>, fits: (header: WalkHeader) => boolean): W | undefined => {
    const own = left.get(`${item.product.id}/${item.path.id}`) ?? [];
    const at = own.findIndex((w) => fits(w.header));
    return at === -1 ? undefined : own.splice(at, 1)[0];
  };
  const made = plannedWalks(setup).map((slot) => ({
    ...slot,
    walk: take(
      slot,
      ({ rigId, slot: place }) =>
        rigId === slot.item.rig.id &&
        place?.round === slot.round &&
        place.place === slot.place &&
        place.variant === slot.item.variant,
    ),
  }));
  return made.map((slot) =>
    slot.walk || slot.item.variant !== 'plain'
      ? slot
      : { ...slot, walk: take(slot, (header) => (header.slot?.variant ?? 'plain') === 'plain') },
  );
}

/** The place in the plan that a walk made for it carries. Walks of one round side by side are a pair. */
export const slotOf = (
  { plan }: Setup,
  { round, place, item }: Slot<PlannedWalk>,
): NonNullable<WalkHeader['slot']> => ({
  round,
  place,
  variant: item.variant,
  ...(plan.sideBySide && item.variant === 'plain' ? { pair: `${item.path.id}/${round}` } : {}),
});
