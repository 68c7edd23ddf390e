import type { Setup } from '@urvek/contract';
import { Study } from '../study.ts';

/** What a report is about where it is not about all. */
export interface Narrowing {
  readonly kindId: string | undefined;
  readonly pathId: string | undefined;
}

/** Only products of one kind, only one path, and what was walked, claimed and needed of them. */
export function narrowed(study: Study, { kindId, pathId }: Narrowing): Study {
  if (kindId === undefined && pathId === undefined) return study;
  const { setup } = study;
  const products = setup.products.filter((p) => (kindId ?? p.kindId) === p.kindId);
  const kept = new Set(products.map((p) => p.id));
  const ofProduct = <T extends { productId: string }>(list: readonly T[] | undefined): T[] | undefined =>
    list?.filter((x) => kept.has(x.productId));
  const only: Setup = {
    ...setup,
    products,
    paths: setup.paths.filter((p) => (pathId ?? p.id) === p.id),
    needs: setup.needs?.filter((n) => (kindId ?? n.kindId) === n.kindId),
    quoted: ofProduct(setup.quoted)?.filter((q) => (pathId ?? q.pathId) === q.pathId),
    latency: ofProduct(setup.latency),
    stations: ofProduct(setup.stations),
  };
  const entries = study.entries.filter(
    ({ header }) => kept.has(header.productId) && (pathId ?? header.pathId) === header.pathId,
  );
  return new Study(only, entries);
}
