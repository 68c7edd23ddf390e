import {
  isLine,
  legsThrough,
  nearestOnRoute,
  planPoints,
  type Feature,
  type FeatureKind,
  type Path,
  type PlanPoint,
} from '@urvek/core';
import { planExtent, planScale, planScene, seenExtent, snapTo, type PlanExtent } from '@urvek/draw';
import type { SetupPath } from '@urvek/study';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Picture } from '../../components/Picture.tsx';
import { useWidth } from '../../components/Tape.tsx';
import type { Part } from './parts.ts';
import { PlanBar } from './PlanBar.tsx';
import { newFeature, type Tool } from './planTools.ts';
import { useZoom } from './useZoom.ts';

const HEIGHT = 340;
/** What is drawn snaps to half a metre; pulled up so far that a metre takes this many px, to a tenth. */
const GRID_M = 0.5;
const FINE_GRID_M = 0.1;
const FINE_FROM_PX = 24;
/** Without snapping: to a centimetre. */
const LOOSE_M = 0.01;
/** A place or a line snaps from so near. */
const REACH_PX = 9;
/** So many steps can be undone. */
const STEPS = 50;
interface Handle {
  readonly id: string;
  readonly label: string;
  /** What it is a handle of. */
  readonly part: Part;
  readonly at: PlanPoint;
  move(to: PlanPoint): void;
  remove?(): void;
}

export interface SitePlanProps {
  readonly path: SetupPath;
  readonly here: PlanPoint | undefined;
  /** The drawn thing in hand, by its place in the list. */
  readonly inHand: number | undefined;
  onHere(atM: number | undefined): void;
  onPart(part: Part): void;
  onLegs(legs: SetupPath['legs']): void;
  onFeatures(features: Feature[]): void;
}

/** The site to scale: it computes what lies between the two ends, it is no drawing board. */
export function SitePlan({ path, here, inHand, onHere, onPart, onLegs, onFeatures }: SitePlanProps) {
  const [place, width] = useWidth(320);
  const [tool, setTool] = useState<Tool>('move');
  const [snaps, setSnaps] = useState(true);
  const [still, setStill] = useState<PlanExtent>();
  const [drawing, setDrawing] = useState<{ from: PlanPoint; to: PlanPoint }>();
  const [guides, setGuides] = useState<readonly PlanPoint[]>([]);
  const [before, setBefore] = useState<readonly Pick<SetupPath, 'legs' | 'features'>[]>([]);
  const dragged = useRef<Handle>(undefined);
  const picture = useRef<SVGSVGElement>(null);
  const zoom = useZoom(picture, { width, height: HEIGHT, pans: tool === 'move' });
  const features = (path.features ?? []) as Feature[];
  const selected = inHand === undefined ? undefined : features[inHand]?.id;
  const extent = seenExtent(still ?? planExtent(path as Path), width, HEIGHT, zoom.view);
  const scale = planScale(extent, width, HEIGHT);
  const points = planPoints(path);

  const remember = (): void =>
    setBefore((steps) => [...steps, { legs: path.legs, features: path.features }].slice(-STEPS));
  const undo = (): void => {
    const last = before.at(-1);
    if (!last) return;
    onLegs(last.legs);
    onFeatures((last.features ?? []) as Feature[]);
    setBefore(before.slice(0, -1));
  };
  const placeOf = (e: PointerEvent<SVGSVGElement>): PlanPoint => {
    const box = e.currentTarget.getBoundingClientRect();
    return scale.placeAt(
      ((e.clientX - box.left) / box.width) * width,
      ((e.clientY - box.top) / box.height) * HEIGHT,
    );
  };
  /** Where a place goes, by what is drawn already, but for the handle that is moved. */
  const snapped = (at: PlanPoint, moved?: PlanPoint): PlanPoint => {
    const places = [...points, ...features.flatMap((f) => f.outline)].filter((p) => p !== moved);
    const fine = scale.pxPerM >= FINE_FROM_PX ? FINE_GRID_M : GRID_M;
    const to = snapTo(at, snaps ? places : [], REACH_PX / scale.pxPerM, snaps ? fine : LOOSE_M);
    setGuides(to.by);
    return to.at;
  };
  const outlineOf = (from: PlanPoint, to: PlanPoint, kind: FeatureKind): PlanPoint[] =>
    isLine(kind) ? [from, to] : [from, [to[0], from[1]], to, [from[0], to[1]]];
  const shape = (id: string, outline: PlanPoint[]): void =>
    onFeatures(features.map((f) => (f.id === id ? { ...f, outline } : f)));

  const handles: Handle[] = [
    ...points.slice(1).map((at, i): Handle => ({
      id: `route-${i + 1}`,
      label: `Place ${i + 1} of the route`,
      part: { kind: 'leg', index: i },
      at,
      move: (to) =>
        onLegs(
          legsThrough(
            points.map((p, k) => (k === i + 1 ? to : p)),
            path.legs,
          ),
        ),
      remove:
        path.legs.length > 1
          ? () =>
              onLegs(
                legsThrough(
                  points.filter((_, k) => k !== i + 1),
                  path.legs,
                ),
              )
          : undefined,
    })),
    ...features.flatMap((f, index) =>
      f.id !== selected
        ? []
        : f.outline.map((at, i): Handle => ({
            id: `${f.id}-${i}`,
            label: `Corner ${i + 1} of ${f.label}`,
            part: { kind: 'drawn', index },
            at,
            move: (to) =>
              shape(
                f.id,
                f.outline.map((p, k) => (k === i ? to : p)),
              ),
            remove: () => onFeatures(features.filter((x) => x.id !== f.id)),
          })),
    ),
  ];
  const down = (e: PointerEvent<SVGSVGElement>): void => {
    if (tool === 'move') return;
    const at = snapped(placeOf(e));
    if (tool === 'route') {
      remember();
      onLegs(legsThrough([...points, at], path.legs));
      return;
    }
    e.currentTarget.setPointerCapture(e.pointerId);
    setStill(planExtent(path as Path));
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
    setStill(undefined);
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
      setStill(planExtent(path as Path));
    };
  const key =
    (handle: Handle) =>
    (e: KeyboardEvent): void => {
      const stepM = e.shiftKey ? 5 : 1;
      const steps: Readonly<Record<string, PlanPoint>> = {
        ArrowLeft: [-stepM, 0],
        ArrowRight: [stepM, 0],
        ArrowUp: [0, stepM],
        ArrowDown: [0, -stepM],
      };
      const by = steps[e.key];
      if (!by && !(e.key === 'Delete' && handle.remove)) return;
      e.preventDefault();
      remember();
      if (by) handle.move([handle.at[0] + by[0], handle.at[1] + by[1]]);
      else handle.remove?.();
    };

  const scene = planScene({ path: path as Path, width, height: HEIGHT, extent, selectedId: selected, here });
  return (
    <div
      role="presentation"
      onKeyDown={(e) => {
        if (e.key !== 'z' || !(e.ctrlKey || e.metaKey) || e.target instanceof HTMLInputElement) return;
        e.preventDefault();
        undo();
      }}
    >
      <PlanBar
        tool={tool}
        onTool={setTool}
        snaps={snaps}
        onSnaps={setSnaps}
        zoom={zoom}
        onUndo={before.length > 0 ? undo : undefined}
      />
      <div ref={place} className="mt-1 border border-rule bg-white">
        <Picture
          ref={picture}
          scene={scene}
          data-plan={path.id}
          style={{ touchAction: 'none', cursor: tool === 'move' ? 'default' : 'crosshair' }}
          onPoint={(group) => {
            const index = features.findIndex((f) => `feature-${f.id}` === group);
            if (tool === 'move' && index !== -1) onPart({ kind: 'drawn', index });
          }}
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={up}
          onPointerLeave={() => {
            if (!drawing && !dragged.current) onHere(undefined);
          }}
        >
          {drawing && tool !== 'move' && tool !== 'route' && (
            <polygon
              points={outlineOf(drawing.from, drawing.to, tool)
                .map(([e, n]) => `${scale.x(e)},${scale.y(n)}`)
                .join(' ')}
              className="s-plan-selected"
            />
          )}
          {guides.map(([east, north], i) => (
            <circle key={i} cx={scale.x(east)} cy={scale.y(north)} r={12} className="s-plan-selected" />
          ))}
          {handles.map((h) => (
            <circle
              key={h.id}
              cx={scale.x(h.at[0])}
              cy={scale.y(h.at[1])}
              r={7}
              tabIndex={0}
              role="button"
              data-handle
              className="fill-sheet stroke-ink stroke-2 focus-visible:stroke-accent"
              style={{ cursor: 'grab' }}
              aria-label={`${h.label}: ${h.at[0].toFixed(1)} m east, ${h.at[1].toFixed(1)} m north; arrow keys move it`}
              onPointerDown={grab(h)}
              onKeyDown={key(h)}
            />
          ))}
        </Picture>
      </div>
    </div>
  );
}
