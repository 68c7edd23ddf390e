import { firstBetween, isLine, planPoints, type Feature, type Path, type PlanPoint } from '@urvek/core';
import { line, path as pathShape, rect, text, type Group, type Scene, type Shape } from '../scene.ts';
import { clearLabels, type Box } from './labels.ts';
import { ticks } from '../tape/scale.ts';
import * as phrases from './phrases.ts';

/** North-up plan to scale: metres east and north of the fixed end to px, and back. */
export interface PlanScale {
  readonly pxPerM: number;
  x(eastM: number): number;
  y(northM: number): number;
  placeAt(x: number, y: number): PlanPoint;
}

export interface PlanOptions {
  readonly path: Path;
  readonly width: number;
  readonly height: number;
  /** Keeps the view still while something is dragged. */
  readonly extent?: PlanExtent;
  readonly selectedId?: string;
  readonly hereM?: number;
  readonly here?: PlanPoint;
}

export interface PlanExtent {
  readonly west: number;
  readonly east: number;
  readonly south: number;
  readonly north: number;
}

const MARGIN_M = 12;
/** A short route still has ground about it. */
const LEAST_M = 60;

/** The ground that a path and what is drawn about it take, with a margin. */
export function planExtent(path: Path): PlanExtent {
  const points = [...planPoints(path), ...(path.features ?? []).flatMap((f) => f.outline)];
  const [easts, norths] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const [west, east] = spread(easts, LEAST_M);
  const [south, north] = spread(norths, LEAST_M / 2);
  return { west, east, south, north };
}

/** From and to with the margin about them, at least so far apart. */
function spread(values: readonly number[], leastM: number): [number, number] {
  const [from, to] = [Math.min(...values) - MARGIN_M, Math.max(...values) + MARGIN_M];
  const moreM = Math.max(0, leastM - (to - from)) / 2;
  return [from - moreM, to + moreM];
}

export function planScale(
  { west, east, south, north }: PlanExtent,
  width: number,
  height: number,
): PlanScale {
  const pxPerM = Math.min(width / (east - west), height / (north - south));
  const [midEast, midNorth] = [(west + east) / 2, (south + north) / 2];
  return {
    pxPerM,
    x: (eastM) => width / 2 + (eastM - midEast) * pxPerM,
    y: (northM) => height / 2 - (northM - midNorth) * pxPerM,
    placeAt: (x, y) => [midEast + (x - width / 2) / pxPerM, midNorth - (y - height / 2) / pxPerM],
  };
}

/**
 * The plan of a site: route, what stands about it, and the line between the two ends at one place of the
 * route.
 */
export function planScene({
  path,
  width,
  height,
  extent = planExtent(path),
  selectedId,
  here,
}: PlanOptions): Scene {
  const scale = planScale(extent, width, height);
  const names = clearLabels(
    (path.features ?? []).map((f) => ({ text: f.label, ...boxOf(f, scale) })),
    // The scale, the arrow and the fixed end have their names already.
    [
      { x: 0, y: 0, width: 120, height: 34 },
      { x: width - 44, y: 0, width: 44, height: 52 },
      { x: scale.x(0) - 8, y: scale.y(0) - 8, width: 80, height: 30 },
      // What stands there is not written over; an area of ground may be.
      ...(path.features ?? []).filter((f) => f.kind === 'vehicle').map((f) => boxOf(f, scale)),
      ...planPoints(path).map(([e, n]) => ({ x: scale.x(e) - 8, y: scale.y(n) - 8, width: 16, height: 16 })),
    ],
    { width, height },
  );
  const groups: Group[] = [
    { id: 'grid', title: undefined, shapes: gridShapes(scale, width, height) },
    ...(path.features ?? []).map((f, i) => ({
      id: `feature-${f.id}`,
      title: `${f.label}: ${f.kind}`,
      shapes: [...featureShapes(f, scale, f.id === selectedId), ...(names[i] ? [names[i]] : [])],
    })),
    { id: 'route', title: phrases.theRouteFromTheFixedEnd, shapes: routeShapes(path, scale) },
  ];
  if (here)
    groups.push({
      id: 'sight',
      title: phrases.theLineBetweenTheTwoEnds,
      shapes: [
        line(scale.x(0), scale.y(0), scale.x(here[0]), scale.y(here[1]), 'sight'),
        pathShape(circle(scale.x(here[0]), scale.y(here[1]), 5), 'here'),
      ],
    });
  return { width, height, title: phrases.planOfToScaleNorthUp(path.name), groups };
}

/** What the plan adds to the tape: where each drawn thing first comes between the ends. */
export const drawnObstructions = (path: Path): { atM: number; label: string }[] =>
  firstBetween(path).map(({ label, atM }) => ({ label, atM }));

/** On the picture. */
function boxOf({ outline }: Feature, scale: PlanScale): Box {
  const [xs, ys] = [outline.map((p) => scale.x(p[0])), outline.map((p) => scale.y(p[1]))];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;
const outlinePath = (outline: readonly PlanPoint[], scale: PlanScale, closed: boolean): string =>
  `M${outline.map(([e, n]) => `${scale.x(e).toFixed(1)} ${scale.y(n).toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;

function gridShapes(scale: PlanScale, width: number, height: number): Shape[] {
  const { majorM } = ticks(width / scale.pxPerM, 'm', 8);
  const stepM = (majorM[1] ?? 10) - (majorM[0] ?? 0);
  const [[west, north], [east, south]] = [scale.placeAt(0, 0), scale.placeAt(width, height)];
  const multiples = (from: number, to: number): number[] =>
    Array.from(
      { length: Math.max(0, Math.floor(to / stepM) - Math.ceil(from / stepM) + 1) },
      (_, i) => (Math.ceil(from / stepM) + i) * stepM,
    );
  return [
    ...multiples(west, east).map((e) => line(scale.x(e), 0, scale.x(e), height, 'grid')),
    ...multiples(south, north).map((n) => line(0, scale.y(n), width, scale.y(n), 'grid')),
    rect(14, 22, stepM * scale.pxPerM, 5, 'fixed'),
    text(14, 16, `${stepM} m`, 'figure'),
    pathShape(`M${width - 22} 34V12m-5 8l5 -9l5 9`, 'mark'),
    text(width - 22, 46, 'N', 'figure', 'middle'),
  ];
}

function featureShapes(feature: Feature, scale: PlanScale, selected: boolean): Shape[] {
  const { kind, outline } = feature;
  return [
    pathShape(outlinePath(outline, scale, !isLine(kind)), `plan-${kind}`),
    ...(selected ? [pathShape(outlinePath(outline, scale, !isLine(kind)), 'plan-selected')] : []),
  ];
}

function routeShapes(path: Path, scale: PlanScale): Shape[] {
  return [
    pathShape(outlinePath(planPoints(path), scale, false), 'route'),
    rect(scale.x(0) - 6, scale.y(0) - 6, 12, 12, 'fixed'),
    text(scale.x(0) + 10, scale.y(0) + 16, phrases.fixedEnd, 'label'),
  ];
}
