import type { EChartsCoreOption, ECharts } from 'echarts/core';
import { useEffect, useRef, useState, type RefObject } from 'react';

/** A chart so near the view is drawn: it is there before it is scrolled to. */
const NEAR = '600px';
/** A page that is never at rest draws its charts all the same, ms. */
const LATEST_MS = 1500;

/** When the page has nothing else to do. @returns what calls it off */
function whenIdle(work: () => void): () => void {
  // Not in every browser.
  if (!('requestIdleCallback' in window)) {
    const timer = setTimeout(work, 100);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(work, { timeout: LATEST_MS });
  return () => cancelIdleCallback(asked);
}

/** Whether something is near what is seen, or was, or is printed. */
function useNear(place: RefObject<HTMLElement | null>): boolean {
  const [near, setNear] = useState(false);
  useEffect(() => {
    const element = place.current;
    if (!element || near) return undefined;
    const draw = (): void => setNear(true);
    const observer = new IntersectionObserver((entries) => entries.some((e) => e.isIntersecting) && draw(), {
      rootMargin: NEAR,
    });
    observer.observe(element);
    window.addEventListener('beforeprint', draw);
    return () => {
      observer.disconnect();
      window.removeEventListener('beforeprint', draw);
    };
  }, [place, near]);
  return near;
}

/**
 * A chart drawn into a place once that is near the view and the page is at rest: what a person came for comes first.
 * The library is loaded then. Another option is drawn into the same chart.
 */
export function useDrawnChart(
  place: RefObject<HTMLElement | null>,
  option: EChartsCoreOption,
  onPoint: ((data: unknown) => void) | undefined,
): RefObject<ECharts | undefined> {
  const near = useNear(place);
  const chart = useRef<ECharts>(undefined);
  const latest = useRef({ option, onPoint });
  useEffect(() => {
    const changed = latest.current.option !== option;
    latest.current = { option, onPoint };
    if (changed) chart.current?.setOption(option, { notMerge: true });
  });
  useEffect(() => {
    if (!near) return undefined;
    let gone = false;
    const resized = new ResizeObserver(() => chart.current?.resize());
    const callOff = whenIdle(() => {
      void import('./echarts.ts').then(({ echarts }) => {
        if (gone || !place.current) return;
        const made = echarts.init(place.current, undefined, { renderer: 'svg' });
        made.setOption(latest.current.option);
        made.on('click', ({ data }) => latest.current.onPoint?.(data));
        chart.current = made;
        resized.observe(place.current);
      });
    });
    return () => {
      gone = true;
      callOff();
      resized.disconnect();
      chart.current?.dispose();
      chart.current = undefined;
    };
  }, [near, place]);
  return chart;
}
