import { useEffect, useRef } from 'react';
import type { EChartsCoreOption } from 'echarts/core';

/** A chart; its library is loaded when the first one is shown. The figures stand in a table beside it. */
export function Chart({ option, label, height = 260 }: { option: EChartsCoreOption; label: string; height?: number }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let dispose = (): void => {};
    let gone = false;
    void import('./echarts.ts').then(({ echarts }) => {
      if (gone || !place.current) return;
      const chart = echarts.init(place.current, undefined, { renderer: 'svg' });
      chart.setOption(option);
      const observer = new ResizeObserver(() => chart.resize());
      observer.observe(place.current);
      dispose = () => {
        observer.disconnect();
        chart.dispose();
      };
    });
    return () => {
      gone = true;
      dispose();
    };
  }, [option]);
  return <div ref={place} role="img" aria-label={label} style={{ height }} />;
}
