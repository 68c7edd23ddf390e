import { legsThrough, planPoints, type Feature, type PlanPoint } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import type { Part } from './parts.ts';
import * as phrases from './phrases.ts';

/** A place on the plan that is moved by hand or by keys. */
export interface Handle {
  readonly id: string;
  readonly label: string;
  /** What it is a handle of. */
  readonly part: Part;
  readonly at: PlanPoint;
  move(to: PlanPoint): void;
  remove?(): void;
}

/** The places of the route, and the corners of the drawn thing in hand. */
export function planHandles(
  path: SetupPath,
  selectedId: string | undefined,
  onLegs: (legs: SetupPath['legs']) => void,
  onFeatures: (features: Feature[]) => void,
): Handle[] {
  const points = planPoints(path);
  const features = (path.features ?? []) as Feature[];
  const route = (changed: PlanPoint[]): void => onLegs(legsThrough(changed, path.legs));
  const places = points.slice(1).map((at, i): Handle => ({
    id: `route-${i + 1}`,
    label: phrases.placeOfTheRoute(i + 1),
    part: { kind: 'leg', index: i },
    at,
    move: (to) => route(points.map((p, k) => (k === i + 1 ? to : p))),
    remove: path.legs.length > 1 ? () => route(points.filter((_, k) => k !== i + 1)) : undefined,
  }));
  const cornersOf = ({ id, label, outline }: Feature, index: number): Handle[] =>
    outline.map((at, i) => ({
      id: `${id}-${i}`,
      label: phrases.cornerOf(i + 1, label),
      part: { kind: 'drawn', index },
      at,
      move: (to) =>
        onFeatures(
          features.map((f) =>
            f.id === id ? { ...f, outline: outline.map((p, k) => (k === i ? to : p)) } : f,
          ),
        ),
      remove: () => onFeatures(features.filter((f) => f.id !== id)),
    }));
  return [...places, ...features.flatMap((f, index) => (f.id === selectedId ? cornersOf(f, index) : []))];
}

/** How far an arrow key moves a handle, m east and north; with shift five times as far. */
export function stepOf(key: string, shift: boolean): PlanPoint | undefined {
  const stepM = shift ? 5 : 1;
  const steps: Readonly<Record<string, PlanPoint>> = {
    ArrowLeft: [-stepM, 0],
    ArrowRight: [stepM, 0],
    ArrowUp: [0, stepM],
    ArrowDown: [0, -stepM],
  };
  return steps[key];
}
