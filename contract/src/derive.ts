import {
  blindLabels,
  findWalk,
  kindOf,
  METHOD_UNCERTAINTY,
  parseClaim,
  summariseRanges,
  walkIntervals,
  balancedOrder,
  type Claim,
  type Criterion,
  type DistanceMethod,
  type PathLink,
  type RangeSummary,
  type Side,
  type Slot,
  type StandIn,
  type WalkFinding,
  type WalkInterval,
  type WalkIntervalRow,
  type WalkRecord,
} from '@urvek/core';
import {
  criterionFor,
  type Product,
  type ProductClaim,
  type Rig,
  type Setup,
  type WantedCriterion,
} from './setup.ts';
import type { StoredWalk, WalkHeader, WalkVariant } from './walk.ts';

export type SetupPath = Setup['paths'][number];

/** A finding together with the header it came from. */
export interface Finding extends WalkFinding {
  readonly header: WalkHeader;
}

/** Walks in order of their start, numbered within product and path; those of a product or path since removed are left out. */
export function findWalks(setup: Setup, walks: readonly StoredWalk[]): Finding[] {
  const counts = new Map<string, number>();
  return [...walks]
    .sort((a, b) => a.header.startedMs - b.header.startedMs)
    .flatMap(({ header, log }) => {
      const product = setup.products.find((p) => p.id === header.productId);
      const path = setup.paths.find((p) => p.id === header.pathId);
      if (!product || !path) return [];
      const key = `${product.id}/${path.id}`;
      const count = (counts.get(key) ?? 0) + 1;
      counts.set(key, count);
      const record: WalkRecord = {
        walkId: header.id,
        label: String(count),
        product: product.name,
        path,
        log,
      };
      const finding = findWalk(record);
      return finding ? [{ ...finding, header }] : [];
    });
}

/** A claim of distance, in metres. Claims of other forms stand on no tape. */
export const claimOf = (claim: ProductClaim): Claim => ({
  entered: claim.entered,
  distanceM: parseClaim('distance', claim.entered).value,
  upTo: claim.upTo,
  condition: claim.condition,
});

export const distanceClaims = (product: Product): ProductClaim[] =>
  product.claims.filter((c) => c.form === 'distance');

/** A path must outrun what it tests by this much, or the result will be a bound. */
export const OUTRUN = 1.5;

export const claimText = (claim: ProductClaim): string =>
  `${claim.upTo ? 'up to ' : ''}${claim.entered}, ${claim.condition === 'unstated' ? 'condition unstated' : claim.condition}`;

/** Whether a path can speak to a claim. */
export const speaksTo = (path: SetupPath, claim: Pick<ProductClaim, 'condition'>): boolean =>
  claim.condition === 'unstated' || claim.condition === path.condition;

/** The claims that a path can speak to, of one kind of product where one is asked for, where they stand on its tape. */
export const claimFlags = (
  { products }: Setup,
  path: SetupPath,
  kindId?: string,
): { atM: number; label: string }[] =>
  products
    .filter((p) => kindId === undefined || p.kindId === kindId)
    .flatMap((p) =>
      distanceClaims(p)
        .filter((c) => speaksTo(path, c))
        .map((c) => ({ atM: claimOf(c).distanceM, label: `${p.name}: ${claimText(c)}` })),
    );

/** "Incline", or "Incline, Microphone" where several kinds are compared. */
export const rangeTitle = (
  { products }: Setup,
  { path, kindId }: Pick<PathRanges, 'path' | 'kindId'>,
): string =>
  new Set(products.map((p) => p.kindId)).size > 1 ? `${path.name}, ${kindOf(kindId).name}` : path.name;

/** Estimates of one kind of product on one path by one criterion. */
export interface PathRanges {
  readonly id: string;
  readonly path: SetupPath;
  readonly kindId: string;
  readonly criterion: Criterion;
  /** The direction asked for; absent: whatever was walked. */
  readonly side: Side | undefined;
  readonly summary: RangeSummary;
  readonly findings: readonly Finding[];
}

/** Walks that speak for a product as it is used: those with swapped ends answer another question. */
const speaking = (findings: readonly Finding[]): Finding[] =>
  findings.filter((f) => f.header.slot?.variant !== 'ends swapped');

/** Paths are estimated apart, and kinds: an advantage in the open says nothing about the shed, a remote nothing about a microphone. */
export function rangesByPath(
  setup: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): PathRanges[] {
  const kinds = [...new Set(setup.products.map((p) => p.kindId))];
  return setup.paths.flatMap((path) =>
    kinds.flatMap((kindId): PathRanges[] => {
      const own = speaking(findings).filter(
        (f) => f.header.pathId === path.id && productOf(setup, f)?.kindId === kindId,
      );
      const criterion = criterionFor(wanted, kindId);
      if (own.length === 0 && kinds.length > 1) return [];
      return [
        {
          id: `${path.id}-${kindId}`,
          path,
          kindId,
          criterion,
          side,
          findings: own,
          summary: summariseRanges(walkRows(setup, own, criterion, side)),
        },
      ];
    }),
  );
}

/** One kind of product over all its paths: does an advantage hold everywhere? */
export interface AcrossPaths {
  readonly kindId: string;
  readonly criterion: Criterion;
  readonly summary: RangeSummary;
}

/** Kinds that were walked on two paths or more. */
export function acrossPaths(setup: Setup, ranges: readonly PathRanges[]): AcrossPaths[] {
  return [...new Set(ranges.map((r) => r.kindId))].flatMap((kindId) => {
    const own = ranges.filter((r) => r.kindId === kindId && r.summary.n > 0);
    const [first] = own;
    return first && own.length > 1
      ? [
          {
            kindId,
            criterion: first.criterion,
            summary: summariseRanges(own.flatMap((r) => walkRows(setup, r.findings, r.criterion, r.side))),
          },
        ]
      : [];
  });
}

export const productOf = (setup: Setup, { header }: Finding): Product | undefined =>
  setup.products.find((p) => p.id === header.productId);

/** Units that took part in walks of a product. */
export function unitsWalked(product: Product, findings: readonly Finding[]): number {
  const rigs = new Set(findings.filter((f) => f.header.productId === product.id).map((f) => f.header.rigId));
  return new Set(product.rigs.filter((r) => rigs.has(r.id)).map((r) => r.unitMobileId)).size;
}

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

/** The rigs and paths that the plan takes: those chosen, else the first rig of every product and every path. */
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
 * Path by path and round by round, kind by kind, every rig in a balanced order among those that it is compared with; then, where the plan
 * wants them, each rig with its ends swapped, and the first walk of the path once more.
 */
export function plannedWalks(setup: Setup): Slot<PlannedWalk>[] {
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
}

/** A planned walk with the walk that fills it: the one that was made for it, else finished walks of its rig in order. */
export interface SlotState extends Slot<PlannedWalk> {
  readonly finding: Finding | undefined;
}

export function planState(setup: Setup, findings: readonly Finding[]): SlotState[] {
  const left = findings.filter((f) => f.trace.endReason);
  const taken = (at: number): Finding | undefined => (at === -1 ? undefined : left.splice(at, 1)[0]);
  const fits = (slot: Slot<PlannedWalk>, { header }: Finding): boolean =>
    header.productId === slot.item.product.id && header.pathId === slot.item.path.id;
  const made = plannedWalks(setup).map((slot) => ({
    ...slot,
    finding: taken(
      left.findIndex(
        (f) =>
          fits(slot, f) &&
          f.header.rigId === slot.item.rig.id &&
          f.header.slot?.round === slot.round &&
          f.header.slot.place === slot.place &&
          f.header.slot.variant === slot.item.variant,
      ),
    ),
  }));
  return made.map((slot) =>
    slot.finding || slot.item.variant !== 'plain'
      ? slot
      : {
          ...slot,
          finding: taken(
            left.findIndex((f) => fits(slot, f) && (f.header.slot?.variant ?? 'plain') === 'plain'),
          ),
        },
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

/** Names sealed behind letters while the plan is blind and its walks are not all in. */
export const isSealed = (setup: Setup, findings: readonly Finding[]): boolean =>
  setup.plan.blind === true && planState(setup, findings).some((s) => !s.finding);

/** The set-up as one who judges by ear may see it: letters for names, and nothing that gives them away. */
export function seal(setup: Setup, key: string): Setup {
  const letters = blindLabels(
    setup.products.map((p) => p.id),
    key,
  );
  return {
    ...setup,
    products: setup.products.map((p) => ({
      ...p,
      name: `Product ${letters.get(p.id)}`,
      claims: [],
      rigs: p.rigs.map((r, i) => ({ ...r, name: `Rig ${i + 1}` })),
    })),
  };
}

/** Walks as intervals, with the unit walked and the pair that a walk belongs to. */
export function walkRows(
  setup: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): (WalkInterval & { readonly criterion: Criterion; readonly finding: Finding })[] {
  return speaking(findings).flatMap((finding) => {
    const product = productOf(setup, finding);
    if (!product) return [];
    const rig = product.rigs.find((r) => r.id === finding.header.rigId);
    const unit = product.units.find((u) => u.id === rig?.unitMobileId)?.label;
    const pair = finding.header.slot?.pair;
    const criterion = criterionFor(wanted, product.kindId);
    return walkIntervals([finding], criterion, side).map((interval) => ({
      ...interval,
      ...(unit === undefined ? {} : { unit }),
      ...(pair === undefined ? {} : { pair }),
      criterion,
      finding,
    }));
  });
}

/** The rows of the walk-interval file: what the command line fits again. Units stand in it where a product has two. */
export function intervalRows(
  setup: Setup,
  findings: readonly Finding[],
  wanted: WantedCriterion,
  side?: Side,
): WalkIntervalRow[] {
  const rows = walkRows(setup, findings, wanted, side);
  const twoUnits = rows.some((r) => rows.some((q) => q.product === r.product && q.unit !== r.unit));
  return rows.map(({ finding, unit, ...row }) => ({
    ...row,
    direction: side ?? finding.directions.map((d) => d.direction).join(' and '),
    ...(twoUnits ? { unit } : {}),
  }));
}

/** The method whose scale error is the greatest among the marks of some walks: it is common to them and does not average out. */
export function scaleOfMarks(findings: readonly Finding[]): {
  readonly method: DistanceMethod | undefined;
  readonly scale: number;
} {
  const methods = new Set(findings.flatMap((f) => f.trace.methods));
  return [...methods].reduce<{ method: DistanceMethod | undefined; scale: number }>(
    (worst, method) =>
      METHOD_UNCERTAINTY[method].scale > worst.scale
        ? { method, scale: METHOD_UNCERTAINTY[method].scale }
        : worst,
    { method: undefined, scale: 0 },
  );
}

/** The link of a product on a rig, for predictions; undefined until it is said what level the receiver needs. */
export const pathLinkOf = (product: Product, rig: Rig): PathLink | undefined =>
  product.sensitivityDbm === undefined
    ? undefined
    : {
        frequencyMHz: product.bandMHz,
        eirpDbm:
          10 * Math.log10(rig.powerMw ?? product.powerMw) - (rig.feederLossDb ?? 0) - (rig.bodyLossDb ?? 0),
        receiveGainDbi: rig.antennaGainDbi ?? 0,
        requiredDbm: product.sensitivityDbm,
        heightsM: [rig.heightFixedM, rig.heightMobileM],
      };

/** The stand-in that plays a product on a rig. */
export const standInOf = (product: Product, rig: Rig): StandIn => ({
  productSeed: product.id,
  frequencyMHz: product.bandMHz,
  eirpDbm: 10 * Math.log10(rig.powerMw ?? product.powerMw) - (rig.feederLossDb ?? 0),
  receiveGainDbi: rig.antennaGainDbi ?? 0,
  requiredDbm: product.standIn.requiredDbm,
  heightsM: [rig.heightFixedM, rig.heightMobileM],
  bodyLossDb: [product.standIn.bodyLossOutDb, product.standIn.bodyLossBackDb],
});
