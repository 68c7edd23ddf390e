import {
  FEATURE_DEFAULTS,
  FEATURE_KINDS,
  isLine,
  legsThrough,
  nearestOnRoute,
  planPoints,
  type Feature,
  type FeatureKind,
  type Path,
  type PlanPoint,
} from '@urvek/core';
import { planExtent, planScale, planScene, type PlanExtent } from '@urvek/draw';
import type { SetupPath } from '@urvek/study';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Picture } from '../../components/Picture.tsx';
import { useWidth } from '../../components/Tape.tsx';

const HEIGHT = 340;
/** What is drawn snaps to half a metre. */
const SNAP_M = 0.5;
const TOOLS = ['move', 'route', ...FEATURE_KINDS] as const;
type Tool = (typeof TOOLS)[number];

export const KIND_NAME: Readonly<Record<FeatureKind, string>> = {
  wall: 'Wall',
  hedge: 'Hedge',
  trees: 'Trees',
  vehicle: 'Wagon or vehicle',
  floor: 'Floor',
  steps: 'Steps',
};
const TOOL_NAME: Readonly<Record<Tool, string>> = { move: 'Move', route: 'Route', ...KIND_NAME };
const TOOL_HINT: Readonly<Record<Tool, string>> = {
  move: 'Drag a handle, or tab to it and use the arrow keys; Delete removes it. The pointer on the route shows what lies between.',
  route: 'A click adds the next place of the route.',
  wall: 'Drag from one end of the wall to the other.',
  hedge: 'Drag from one end of the hedge to the other.',
  trees: 'Drag over the area.',
  vehicle: 'Drag over its outline.',
  floor: 'Drag over the area of the other storey.',
  steps: 'Drag over the steps.',
};

export const newFeature = (kind: FeatureKind, outline: readonly PlanPoint[], number: number): Feature => ({
  id: crypto.randomUUID().slice(0, 8),
  label: `${KIND_NAME[kind]} ${number}`,
  kind,
  outline,
  ...(kind === 'wall' ? { material: 'brick' as const, thicknessM: 0.1 } : {}),
  ...(kind === 'hedge' ? { thicknessM: FEATURE_DEFAULTS.hedgeM } : {}),
  ...(kind === 'vehicle' ? { heightM: FEATURE_DEFAULTS.vehicleM } : {}),
  ...(kind === 'floor' ? { lossDb: FEATURE_DEFAULTS.floorDb } : {}),
});

const snap = (m: number): number => Math.round(m / SNAP_M) * SNAP_M;
const snapped = ([east, north]: PlanPoint): PlanPoint => [snap(east), snap(north)];

interface Handle {
  readonly id: string;
  readonly label: string;
  readonly at: PlanPoint;
  move(to: PlanPoint): void;
  remove?(): void;
}

export interface SitePlanProps {
  readonly path: SetupPath;
  readonly here: PlanPoint | undefined;
  onHere(atM: number | undefined): void;
  onLegs(legs: SetupPath['legs']): void;
  onFeatures(features: Feature[]): void;
}

/** The site to scale: it computes what lies between the two ends, it is no drawing board. */
export function SitePlan({ path, here, onHere, onLegs, onFeatures }: SitePlanProps) {
  const [place, width] = useWidth(320);
  const [tool, setTool] = useState<Tool>('move');
  const [selected, setSelected] = useState<string>();
  const [still, setStill] = useState<PlanExtent>();
  const [drawing, setDrawing] = useState<{ from: PlanPoint; to: PlanPoint }>();
  const dragged = useRef<Handle>(undefined);
  const features = (path.features ?? []) as Feature[];
  const extent = still ?? planExtent(path as Path);
  const scale = planScale(extent, width, HEIGHT);
  const points = planPoints(path);

  const placeOf = (e: PointerEvent<SVGSVGElement>): PlanPoint => {
    const box = e.currentTarget.getBoundingClientRect();
    return scale.placeAt(
      ((e.clientX - box.left) / box.width) * width,
      ((e.clientY - box.top) / box.height) * HEIGHT,
    );
  };
  const outlineOf = (from: PlanPoint, to: PlanPoint, kind: FeatureKind): PlanPoint[] =>
    isLine(kind) ? [from, to] : [from, [to[0], from[1]], to, [from[0], to[1]]];
  const shape = (id: string, outline: PlanPoint[]): void =>
    onFeatures(features.map((f) => (f.id === id ? { ...f, outline } : f)));

  const handles: Handle[] = [
    ...points.slice(1).map((at, i): Handle => ({
      id: `route-${i + 1}`,
      label: `Place ${i + 1} of the route`,
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
    ...features
      .filter((f) => f.id === selected)
      .flatMap((f) =>
        f.outline.map((at, i): Handle => ({
          id: `${f.id}-${i}`,
          label: `Corner ${i + 1} of ${f.label}`,
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
    const at = snapped(placeOf(e));
    if (tool === 'move') return;
    if (tool === 'route') {
      onLegs(legsThrough([...points, at], path.legs));
      return;
    }
    e.currentTarget.setPointerCapture(e.pointerId);
    setStill(extent);
    setDrawing({ from: at, to: at });
  };
  const move = (e: PointerEvent<SVGSVGElement>): void => {
    const at = placeOf(e);
    if (drawing) setDrawing({ ...drawing, to: snapped(at) });
    else if (dragged.current) handles.find((h) => h.id === dragged.current?.id)?.move(snapped(at));
    else onHere(nearestOnRoute(path, at));
  };
  const up = (): void => {
    dragged.current = undefined;
    if (
      drawing &&
      tool !== 'move' &&
      tool !== 'route' &&
      Math.hypot(drawing.to[0] - drawing.from[0], drawing.to[1] - drawing.from[1]) >= SNAP_M
    ) {
      const made = newFeature(
        tool,
        outlineOf(drawing.from, drawing.to, tool),
        features.filter((f) => f.kind === tool).length + 1,
      );
      onFeatures([...features, made]);
      setSelected(made.id);
    }
    setDrawing(undefined);
    setStill(undefined);
  };
  const grab =
    (handle: Handle) =>
    (e: PointerEvent<SVGCircleElement>): void => {
      if (tool !== 'move') return;
      e.stopPropagation();
      e.currentTarget.ownerSVGElement?.setPointerCapture(e.pointerId);
      dragged.current = handle;
      setStill(extent);
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
      if (by) handle.move([handle.at[0] + by[0], handle.at[1] + by[1]]);
      else if (e.key === 'Delete' && handle.remove) handle.remove();
      else return;
      e.preventDefault();
    };

  const scene = planScene({ path: path as Path, width, height: HEIGHT, extent, selectedId: selected, here });
  return (
    <div>
      <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="What to draw">
        {TOOLS.map((t) => (
          <button
            key={t}
            type="button"
            className={`btn min-h-8 px-2 py-0 text-[0.87rem] ${tool === t ? 'btn-main' : ''}`}
            aria-pressed={tool === t}
            onClick={() => setTool(t)}
          >
            {TOOL_NAME[t]}
          </button>
        ))}
        <span className="text-[0.87rem] text-faint">{TOOL_HINT[tool]}</span>
      </div>
      <div ref={place} className="mt-1 border border-rule bg-white">
        <Picture
          scene={scene}
          data-plan={path.id}
          style={{ touchAction: 'none', cursor: tool === 'move' ? 'default' : 'crosshair' }}
          onPoint={(group) => {
            if (tool === 'move' && group.startsWith('feature-')) setSelected(group.slice(8));
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
          {handles.map((h) => (
            <circle
              key={h.id}
              cx={scale.x(h.at[0])}
              cy={scale.y(h.at[1])}
              r={7}
              tabIndex={0}
              role="button"
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
