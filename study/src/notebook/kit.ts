import { kindOf, travelledOf, type DistanceMethod } from '@urvek/core';
import { newRig, type Product, type Rig, type Setup } from '@urvek/contract';
import type { SetupPath } from '../results/findings.ts';
import type { NotebookRow } from './columns.ts';
import { RowTrouble, type Observation } from './readRow.ts';
import * as phrases from './phrases.ts';

/** A product of which no more is known than that it was walked. */
const UNKNOWN_KIND = 'accessory';
/** Of a path of which no distance is known, m. */
const LEAST_PATH_M = 10;
/** A leg is no longer than that, m. */
const LONGEST_LEG_M = 50_000;
/** Signs of a name: two of them make one of the set-up, which has twice as many. */
const LONGEST_NAME = 60;

interface KitOptions {
  readonly kindId?: string;
  readonly method?: DistanceMethod;
  readonly newId: () => string;
}

/** A walk's subject and path. */
export interface Placed {
  readonly product: Product;
  readonly rigId: string;
  readonly path: SetupPath;
}

/**
 * Products, rigs and paths by the names that rows give them; what is not there is made, everything else of it unknown.
 * Where a row names none, the only one there is is meant; of several it is asked which.
 */
export class Kit {
  private readonly products: Product[];
  private readonly paths: SetupPath[];
  /** What was made, by id, and how it is told. */
  private readonly isNew = new Map<string, string>();
  private readonly farthestM = new Map<string, number>();

  constructor(
    private readonly given: Setup,
    private readonly options: KitOptions,
  ) {
    this.products = [...given.products];
    this.paths = [...given.paths];
  }

  /** @throws RowTrouble where a row's names are too long, or one is missing that is needed */
  of(cells: NotebookRow['cells']): Placed {
    const product =
      named(this.products, 'product', cells) ?? this.newProduct(cells.product ?? 'Unknown product');
    const path = named(this.paths, 'path', cells) ?? this.newPath(cells.path ?? 'Unknown path');
    const rigId = this.rigOf(product, cells);
    return { product: this.products.find((p) => p.id === product.id) as Product, rigId, path };
  }

  /** A new path ends no nearer than where somebody was on it. */
  reached({ id }: SetupPath, { reading }: Observation): void {
    if (reading) this.farthestM.set(id, Math.max(this.farthestM.get(id) ?? 0, travelledOf(reading)));
  }

  /** The set-up with what these walks need of what was made, and what that is. */
  made(walks: readonly Placed[]): { setup: Setup; made: string[] } {
    const used = new Set(walks.flatMap((w) => [w.product.id, w.rigId, w.path.id]));
    const stays = (id: string): boolean => !this.isNew.has(id) || used.has(id);
    const made = [...this.isNew].filter(([id]) => used.has(id)).map(([, what]) => what);
    if (made.length === 0) return { setup: this.given, made };
    const products = this.products
      .filter((p) => stays(p.id))
      .map((p) => {
        const rigs = p.rigs.filter((r) => stays(r.id));
        const units = new Set(rigs.flatMap((r) => [r.unitFixedId, r.unitMobileId]));
        return { ...p, rigs, units: p.units.filter((u) => !this.isNew.has(u.id) || units.has(u.id)) };
      });
    const paths = this.paths
      .filter((p) => stays(p.id))
      .map((p) => (this.isNew.has(p.id) ? this.withLength(p) : p));
    return { made, setup: { ...this.given, products, paths } };
  }

  private withLength(path: SetupPath): SetupPath {
    const lengthM = Math.max(LEAST_PATH_M, Math.ceil(this.farthestM.get(path.id) ?? 0));
    const count = Math.ceil(lengthM / LONGEST_LEG_M);
    return {
      ...path,
      legs: Array.from({ length: count }, () => ({ ...LEG, lengthM: lengthM / count })),
    };
  }

  private rigOf(product: Product, { rig: name, unit }: NotebookRow['cells']): string {
    const unitOf = (r: Rig): string => product.units.find((u) => u.id === r.unitMobileId)?.label ?? '';
    const fits = product.rigs.filter(
      (r) =>
        (name === undefined || same(r.name, name) || same(r.name, withUnit(name, unit))) &&
        (unit === undefined || same(unitOf(r), unit)),
    );
    const [only] = fits;
    if (fits.length > 1)
      throw new RowTrouble(
        'rig',
        phrases.hasSeveralWhichOne(product.name, fits.map((r) => r.name).join(', ')),
        true,
      );
    return only?.id ?? this.newRig(product, name, unit);
  }

  private newRig(product: Product, name: string | undefined, unit: string | undefined): string {
    checked('rig', name);
    checked('unit', unit);
    const label = unit ?? 'A';
    const known =
      product.units.find((u) => same(u.label, label)) ?? (unit === undefined ? product.units[0] : undefined);
    const own = known ?? { id: this.id(), label, history: '' };
    if (!known) this.isNew.set(own.id, `unit ${label} of ${product.name}`);
    const wanted = name ?? (unit === undefined ? 'Unknown rig' : `Unit ${unit}`);
    const taken = product.rigs.some((r) => same(r.name, wanted));
    const rig = { ...newRig(this.id(), own.id), name: taken ? withUnit(wanted, unit) : wanted };
    this.isNew.set(rig.id, `rig ${rig.name} of ${product.name}`);
    this.products[this.products.findIndex((p) => p.id === product.id)] = {
      ...product,
      units: known ? product.units : [...product.units, own],
      rigs: [...product.rigs, rig],
    };
    return rig.id;
  }

  private newProduct(name: string): Product {
    const product: Product = {
      id: this.id(),
      name: checked('product', name),
      kindId: kindOf(this.options.kindId ?? UNKNOWN_KIND).id,
      claims: [],
      units: [],
      rigs: [],
      simulatedGear: { requiredDbm: -88, bodyLossOutDb: 8, bodyLossBackDb: 2 },
    };
    this.products.push(product);
    this.isNew.set(product.id, `product ${name}`);
    return product;
  }

  private newPath(name: string): SetupPath {
    const path: SetupPath = {
      id: this.id(),
      name: checked('path', name),
      condition: 'unstated',
      model: 'two-slope',
      distanceMethod: this.options.method ?? 'by eye',
      hazards: '',
      permission: '',
      // It ends where somebody was last, which is known when all is read.
      legs: [{ ...LEG, lengthM: Infinity }],
      obstructions: [],
      checkpoints: [],
    };
    this.paths.push(path);
    this.isNew.set(path.id, `path ${name}`);
    return path;
  }

  private id(): string {
    return this.options.newId().slice(0, 8);
  }
}

const LEG = { bearingDeg: 0, riseM: 0, exposure: 'open' } as const;

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
const withUnit = (name: string, unit: string | undefined): string =>
  unit === undefined ? name : `${name}, unit ${unit}`;

function checked<T extends string | undefined>(column: 'product' | 'path' | 'rig' | 'unit', name: T): T {
  if (name !== undefined && name.length > LONGEST_NAME)
    throw new RowTrouble(column, phrases.aNameOfSignsIsToo(name.length, LONGEST_NAME));
  return name;
}

/** By its name; without one, the only one that there is. Undefined where there is none. */
function named<T extends { readonly name: string }>(
  list: readonly T[],
  column: 'product' | 'path',
  cells: NotebookRow['cells'],
): T | undefined {
  const name = cells[column];
  if (name !== undefined) return list.find((x) => same(x.name, name));
  if (list.length > 1)
    throw new RowTrouble(column, phrases.whichOneOf(list.map((x) => x.name).join(', ')), true);
  return list[0];
}
