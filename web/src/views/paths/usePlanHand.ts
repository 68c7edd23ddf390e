import {
  isLine,
  legsThrough,
  nearestOnRoute,
  planPoints,
  type Feature,
  type FeatureKind,
  type PlanPoint,
} from '@urvek/core';
import { snapTo, type PlanScale } from '@urvek/draw';
import { useRef, useState, type PointerEvent } from 'react';
import type { Handle } from './planHandles.ts';
import { newFeature, type Tool } from './planTools.ts';
import type { SitePlanProps } from './SitePlan.tsx';

/** What is drawn snaps to half a metre; pulled up so far that a metre takes this many px, to a tenth. */
const GRID_M = 0.5;
const FINE_GRID_M = 0.1;
const FINE_FROM_PX = 24;
/** Without snapping: to a centimetre. */
const LOOSE_M = 0.01;
/** A place or a line snaps from so near. */
const REACH_PX = 9;

const outlineOf = (from: PlanPoint, to: PlanPoint, kind: FeatureKind): PlanPoint[] =>
  isLine(kind) ? [from, to] : [from, [to[0], from[1]], to, [from[0], to[1]]];
const isSame = (a: PlanPoint, b: PlanPoint | undefined): boolean => a[0] === b?.[0] && a[1] === b[1];

/** What a pointer does on the plan: moves handles, adds to the route, draws. */
export function usePlanHand({
  path,
  tool,
  snaps,
  handles,
  scale,
  width,
  height,
  onHold,
  remember,
  onHere,
  onPart,
  onLegs,
  onFeatures,
}: Pick<SitePlanProps, 'path' | 'onHere' | 'onPart' | 'onLegs' | 'onFeatures'> & {
  tool: Tool;
  snaps: boolean;
  handles: readonly Handle[];
  scale: PlanScale;
  width: number;
  height: number;
  /** While something is drawn or dragged the plan keeps its extent. */
  onHold: (held: boolean) => void;
  remember: () => void;
}) {
  const [drawing, setDrawing] = useState<{ from: PlanPoint; to: PlanPoint }>();
  const [guides, setGuides] = useState<readonly PlanPoint[]>([]);
  const dragged = useRef<Handle>(undefined);
  const features = (path.features ?? []) as Feature[];
  const points = planPoints(path);
  const placeOf = (e: PointerEvent<SVGSVGElement>): PlanPoint => {
    const box = e.currentTarget.getBoundingClientRect();
    return scale.placeAt(
      ((e.clientX - box.left) / box.width) * width,
      ((e.clientY - box.top) / box.height) * height,
    );
  };
  /** Where a place goes, by what is drawn already, but for the handle that is moved. */
  const snapped = (at: PlanPoint, moved?: PlanPoint): PlanPoint => {
    const places = [...points, ...features.flatMap((f) => f.outline)].filter((p) => !isSame(p, moved));
    const fine = scale.pxPerM >= FINE_FROM_PX ? FINE_GRID_M : GRID_M;
    const to = snapTo(at, snaps ? places : [], REACH_PX / scale.pxPerM, snaps ? fine : LOOSE_M);
    setGuides(to.by);
    return to.at;
  };
  const down = (e: PointerEvent<SVGSVGElement>): void => {
    if (tool === 'move') return;
    const at = snapped(placeOf(e));
    if (tool === 'route') {
      remember();
      onLegs(legsThrough([...points, at], path.legs));
      return;
    }
    e.currentTarget.setPointerCapture(e.pointerId);
    onHold(true);
    setDrawing({ from: at, to: at });
  };
  const move = (e: PointerEvent<SVGSVGElement>): void => {
    const at = placeOf(e);
    const handle = handles.find((h) => h.id === dragged.current?.id);
    if (drawing) setDrawing({ ...drawing, to: snapped(at) });
    else if (handle) handle.move(snapped(at, handle.at));
    else onHere(nearestOnRoute(path, at));
  };
  const up = (): void => {
    dragged.current = undefined;
    if (
      drawing &&
      tool !== 'move' &&
      tool !== 'route' &&
      Math.hypot(drawing.to[0] - drawing.from[0], drawing.to[1] - drawing.from[1]) >= FINE_GRID_M
    ) {
      remember();
      onFeatures([
        ...features,
        newFeature(
          tool,
          outlineOf(drawing.from, drawing.to, tool),
          features.filter((f) => f.kind === tool).length + 1,
        ),
      ]);
      onPart({ kind: 'drawn', index: features.length });
    }
    setDrawing(undefined);
    onHold(false);
    setGuides([]);
  };
  const grab =
    (handle: Handle) =>
    (e: PointerEvent<SVGCircleElement>): void => {
      if (tool !== 'move') return;
      e.stopPropagation();
      e.currentTarget.ownerSVGElement?.setPointerCapture(e.pointerId);
      dragged.current = handle;
      remember();
      onPart(handle.part);
      onHold(true);
    };
  return {
    guides,
    /** What is being drawn. */
    outline:
      drawing && tool !== 'move' && tool !== 'route' ? outlineOf(drawing.from, drawing.to, tool) : undefined,
    grab,
    handlers: {
      onPointerDown: down,
      onPointerMove: move,
      onPointerUp: up,
      onPointerLeave: () => {
        if (!drawing && !dragged.current) onHere(undefined);
      },
    },
  };
}
