import type { Feature, Path, PlanPoint } from '@urvek/core';
import { planExtent, planScale, planScene, seenExtent, type PlanExtent } from '@urvek/draw';
import type { SetupPath } from '@urvek/study';
import { useRef, useState } from 'react';
import { Picture } from '../../components/Picture.tsx';
import { useWidth } from '../../components/Tape.tsx';
import { HandleMark } from './HandleMark.tsx';
import type { Part } from './parts.ts';
import { PlanBar } from './PlanBar.tsx';
import { planHandles } from './planHandles.ts';
import type { Tool } from './planTools.ts';
import { usePlanHand } from './usePlanHand.ts';
import { useSteps } from './useSteps.ts';
import { useZoom } from './useZoom.ts';

const HEIGHT = 340;

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
  const picture = useRef<SVGSVGElement>(null);
  const zoom = useZoom(picture, { width, height: HEIGHT, pans: tool === 'move' });
  const features = (path.features ?? []) as Feature[];
  const selected = inHand === undefined ? undefined : features[inHand]?.id;
  const extent = seenExtent(still ?? planExtent(path as Path), width, HEIGHT, zoom.view);
  const scale = planScale(extent, width, HEIGHT);
  const { remember, undo } = useSteps(path, (was) => {
    onLegs(was.legs);
    onFeatures((was.features ?? []) as Feature[]);
  });
  const handles = planHandles(path, selected, onLegs, onFeatures);
  const { guides, outline, grab, handlers } = usePlanHand({
    ...{ path, tool, snaps, handles, scale, width, remember, onHere, onPart, onLegs, onFeatures },
    height: HEIGHT,
    onHold: (held) => setStill(held ? planExtent(path as Path) : undefined),
  });
  const scene = planScene({ path: path as Path, width, height: HEIGHT, extent, selectedId: selected, here });
  return (
    <div
      role="presentation"
      onKeyDown={(e) => {
        if (e.key !== 'z' || !(e.ctrlKey || e.metaKey) || e.target instanceof HTMLInputElement) return;
        e.preventDefault();
        undo?.();
      }}
    >
      <PlanBar tool={tool} onTool={setTool} snaps={snaps} onSnaps={setSnaps} zoom={zoom} onUndo={undo} />
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
          {...handlers}
        >
          {outline && (
            <polygon
              points={outline.map(([e, n]) => `${scale.x(e)},${scale.y(n)}`).join(' ')}
              className="s-plan-selected"
            />
          )}
          {guides.map(([east, north], i) => (
            <circle key={i} cx={scale.x(east)} cy={scale.y(north)} r={12} className="s-plan-selected" />
          ))}
          {handles.map((h) => (
            <HandleMark key={h.id} handle={h} scale={scale} onGrab={grab(h)} onChange={remember} />
          ))}
        </Picture>
      </div>
    </div>
  );
}
