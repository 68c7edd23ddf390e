import type { SetupPath } from '@urvek/study';
import * as phrases from './phrases.ts';

/** What a path is made of. One of it is in hand at a time. */
export const PART_KINDS = ['leg', 'across', 'point', 'hazard', 'drawn'] as const;
export type PartKind = (typeof PART_KINDS)[number];
export interface Part {
  readonly kind: PartKind;
  readonly index: number;
}

/** In the address: "leg-2", counted from one as on the screen. */
export const partText = ({ kind, index }: Part): string => `${kind}-${index + 1}`;

/** The parts of one kind, by name. */
export function partNames(path: SetupPath, kind: PartKind): string[] {
  switch (kind) {
    case 'leg':
      return path.legs.map((_, i) => phrases.leg(i + 1));
    case 'across':
      return path.obstructions.map((o, i) => o.label || phrases.obstruction(i + 1));
    case 'point':
      return path.checkpoints.map((c, i) => c.name || phrases.checkpoint(i + 1));
    case 'hazard':
      return (path.hazardsAt ?? []).map((h, i) => h.what || phrases.hazard(i + 1));
    case 'drawn':
      return (path.features ?? []).map((f) => f.label);
  }
}

/** The part that an address names; undefined where the path has no such part. */
export function parsePart(text: string | undefined, path: SetupPath): Part | undefined {
  const [, name, number] = /^([a-z]+)-(\d+)$/.exec(text ?? '') ?? [];
  const kind = PART_KINDS.find((k) => k === name);
  const index = Number(number) - 1;
  return kind && index >= 0 && index < partNames(path, kind).length ? { kind, index } : undefined;
}

/** Where a part stands on the tape, metres travelled: a leg by its end. Undefined for what is drawn on the plan. */
export function partAtM(path: SetupPath, { kind, index }: Part): number | undefined {
  switch (kind) {
    case 'leg':
      return path.legs.slice(0, index + 1).reduce((sum, l) => sum + l.lengthM, 0);
    case 'across':
      return path.obstructions[index]?.atM;
    case 'point':
      return path.checkpoints[index]?.atM;
    case 'hazard':
      return path.hazardsAt?.[index]?.atM;
    case 'drawn':
      return undefined;
  }
}

/**
 * What is meant by a press at so many metres: a point, an obstruction or a hazard within `reachM`, else the leg
 * there.
 */
export function partAt(path: SetupPath, atM: number, reachM: number): Part | undefined {
  const near = (['across', 'point', 'hazard'] as const)
    .flatMap((kind) => partNames(path, kind).map((_, index): Part => ({ kind, index })))
    .map((part) => ({ part, offM: Math.abs((partAtM(path, part) ?? Infinity) - atM) }))
    .filter(({ offM }) => offM <= reachM)
    .toSorted((a, b) => a.offM - b.offM)[0];
  if (near) return near.part;
  const leg = path.legs.findIndex((_, index) => (partAtM(path, { kind: 'leg', index }) ?? 0) >= atM);
  return leg === -1 ? undefined : { kind: 'leg', index: leg };
}
