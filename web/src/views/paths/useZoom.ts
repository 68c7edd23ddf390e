import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import { useEffect, useRef, useState, type RefObject } from 'react';

/** So many times as large at most: 60 m of ground become 1.5 m. */
const MOST = 40;
const STEP = 1.6;

export interface Zoom {
  readonly view: ZoomTransform;
  by(steps: number): void;
  /** Moves the picture, in px of its box. */
  pan(x: number, y: number): void;
  whole(): void;
}

/**
 * Pulls a picture up and moves it: by dragging its ground while `pans`, by two fingers, by the wheel with Ctrl (the
 * wheel alone scrolls the page). What is marked as data-handle is not dragged with the ground.
 */
export function useZoom(
  picture: RefObject<SVGSVGElement | null>,
  { width, height, pans }: { width: number; height: number; pans: boolean },
): Zoom {
  const [view, setView] = useState<ZoomTransform>(zoomIdentity);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown>>(undefined);
  const panning = useRef(pans);
  useEffect(() => {
    panning.current = pans;
  }, [pans]);
  useEffect(() => {
    const element = picture.current;
    if (!element) return;
    const zooms = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, MOST])
      .extent([
        [0, 0],
        [width, height],
      ])
      .translateExtent([
        [-width / 2, -height / 2],
        [1.5 * width, 1.5 * height],
      ])
      .filter((e: MouseEvent | WheelEvent | TouchEvent) => {
        if (e.type === 'wheel') return e.ctrlKey || e.metaKey;
        if (e.type === 'dblclick') return false;
        if ('touches' in e && e.touches.length > 1) return true;
        return (
          panning.current && !(e.target as Element).closest('[data-handle]') && !('button' in e && e.button)
        );
      })
      .on('zoom', (e: { transform: ZoomTransform }) => setView(e.transform));
    behaviour.current = zooms;
    select(element).call(zooms);
    return () => void select(element).on('.zoom', null);
  }, [picture, width, height]);
  const on = (act: (zooms: ZoomBehavior<SVGSVGElement, unknown>, element: SVGSVGElement) => void): void => {
    if (behaviour.current && picture.current) act(behaviour.current, picture.current);
  };
  return {
    view,
    by: (steps) => on((zooms, element) => zooms.scaleBy(select(element), STEP ** steps)),
    pan: (x, y) => on((zooms, element) => zooms.translateBy(select(element), x / view.k, y / view.k)),
    whole: () => on((zooms, element) => zooms.transform(select(element), zoomIdentity)),
  };
}
