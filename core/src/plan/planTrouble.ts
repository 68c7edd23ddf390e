import * as phrases from './phrases.ts';

/** A walk of a plan, as far as who and what is in it matters. Minutes after midnight. */
export interface PlannedUse {
  readonly what: string;
  readonly fromMin: number;
  readonly toMin: number;
  /** Units in use: their ids, with words for each. */
  readonly units: readonly { readonly id: string; readonly label: string }[];
  readonly rigId: string;
  readonly rigLabel: string;
  /** Hours that the rig's battery carries it; absent where not known. */
  readonly batteryH: number | undefined;
}

const overlap = (a: PlannedUse, b: PlannedUse): boolean =>
  a.fromMin < b.toMin - 1e-9 && b.fromMin < a.toMin - 1e-9;

/** A unit that two walks want at the same time. */
export function doubleUse(uses: readonly PlannedUse[]): string[] {
  return uses.flatMap((a, i) =>
    uses
      .slice(i + 1)
      .filter((b) => overlap(a, b))
      .flatMap((b) =>
        a.units
          .filter((u) => b.units.some((v) => v.id === u.id))
          .map((u) => phrases.isInTwoWalksAtOnce(u.label, a.what, b.what)),
      ),
  );
}

/** A unit that stands at both ends of one walk. */
export const bothEnds = (uses: readonly PlannedUse[]): string[] => [
  ...new Set(
    uses.flatMap((u) =>
      u.units.length === 2 && u.units[0]?.id === u.units[1]?.id
        ? [phrases.oneUnitCannotStandAtBoth(u.rigLabel, u.units[0]?.label)]
        : [],
    ),
  ),
];

/** One name at both ends is a person in two places. */
export function twoPlaces(atFixedEnd: string, atMobileEnd: string): string[] {
  const same =
    atFixedEnd.trim() !== '' && atFixedEnd.trim().toLowerCase() === atMobileEnd.trim().toLowerCase();
  return same ? [phrases.isPlannedAtBothEndsAt(atFixedEnd.trim())] : [];
}

/** A battery that will not last from its rig's first walk to its last. */
export function flatBatteries(uses: readonly PlannedUse[]): string[] {
  const rigs = new Map<string, PlannedUse[]>();
  for (const use of uses) rigs.set(use.rigId, [...(rigs.get(use.rigId) ?? []), use]);
  return [...rigs.values()].flatMap((own) => {
    const { batteryH, rigLabel } = own[0] as PlannedUse;
    const neededH = (Math.max(...own.map((u) => u.toMin)) - Math.min(...own.map((u) => u.fromMin))) / 60;
    return batteryH !== undefined && batteryH < neededH
      ? [phrases.theBatteryLastsHTheWalks(rigLabel, batteryH.toFixed(1), neededH.toFixed(1))]
      : [];
  });
}
