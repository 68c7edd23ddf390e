import { capOf, crossNeed, fittedInOrder, readThroughput, throughputCurve } from '@urvek/core';
import { BadInput } from './badInput.ts';
import { readRows } from './readRows.ts';

/** The `throughput` command: the decreasing curve, its cap, and where a need is crossed. @throws BadInput */
export async function throughput(
  file: string,
  { json, need, backhaul }: { json?: true; need?: string; backhaul?: string },
): Promise<string> {
  const [needMbps, backhaulMbps] = [positive('--need', need), positive('--backhaul', backhaul)];
  const rows = await readRows(file, readThroughput);
  const curve = throughputCurve(rows);
  const cap = capOf(rows, backhaulMbps);
  const crossing = needMbps === undefined ? undefined : crossNeed(curve, needMbps);
  if (json) {
    return `${JSON.stringify(
      {
        fitted: fittedInOrder(rows, curve),
        cap: cap ? { level_mbps: cap.levelMbps, points: cap.points } : null,
        need_mbps: needMbps ?? null,
        hold_m: crossing?.holdM ?? null,
        fail_m: crossing?.failM ?? null,
        distance_m: crossing?.distanceM ?? null,
      },
      null,
      1,
    )}\n`;
  }
  return [
    ...curve.map((c) => `${c.distanceM.toFixed(1).padStart(8)} m  ${c.mbps.toFixed(1).padStart(8)} Mbit/s`),
    ...(cap
      ? [
          `the nearest ${cap.points} points read about ${cap.levelMbps.toFixed(1)} Mbit/s: a cap; the link gives at least that`,
        ]
      : []),
    ...(needMbps === undefined
      ? []
      : [
          crossing?.distanceM === undefined
            ? `${needMbps} Mbit/s: not crossed within these distances`
            : `${needMbps} Mbit/s: held at ${crossing.holdM} m, no longer at ${crossing.failM} m; in between at about ${crossing.distanceM.toFixed(1)} m`,
        ]),
    '',
  ].join('\n');
}

function positive(name: string, value: string | undefined): number | undefined {
  if (value === undefined) return undefined;
  const number = Number(value);
  if (!(number > 0 && Number.isFinite(number))) throw new BadInput(`${name} ${value}: not a number above 0`);
  return number;
}
