import { writeTable } from '@urvek/core';
import type { EChartsCoreOption } from 'echarts/core';
import { useRef } from 'react';
import { download, svgToPng } from '../state/download.ts';
import { ChartFigures, type ChartTable } from './ChartFigures.tsx';
import { useDrawnChart } from './useDrawnChart.ts';
import * as phrases from './phrases.ts';

export interface ChartProps {
  readonly option: EChartsCoreOption;
  readonly label: string;
  readonly height?: number;
  /** With a table behind it the chart can be saved, and read without being seen. */
  readonly table?: ChartTable;
  readonly onPoint?: (data: unknown) => void;
}

/** A chart; drawn once it is near the view. */
export function Chart({ option, label, height = 260, table, onPoint }: ChartProps) {
  const place = useRef<HTMLDivElement>(null);
  const chart = useDrawnChart(place, option, onPoint);
  const svg = (): string => chart.current?.renderToSVGString() ?? '';
  return (
    <figure>
      <div ref={place} role="img" aria-label={label} style={{ height }} />
      {table && (
        <details className="no-print text-[0.87rem]">
          <summary className="cursor-pointer text-faint">{phrases.theFiguresAndFilesOfThem}</summary>
          <ChartFigures table={table} label={label} />
          <SaveAs
            name={label}
            svg={svg}
            size={() => [chart.current?.getWidth() ?? 800, chart.current?.getHeight() ?? height]}
            table={table}
          />
        </details>
      )}
    </figure>
  );
}

/** PNG and SVG at publication size, and the figures as CSV. */
export function SaveAs({
  name,
  svg,
  size,
  scale,
  table,
}: {
  name: string;
  svg: () => string;
  size: () => readonly [number, number];
  /** Dots of the PNG to a px; absent: three. */
  scale?: number;
  table?: ChartTable;
}) {
  const file = name.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60);
  return (
    <p className="no-print text-[0.87rem]">
      <button
        type="button"
        className="btn-quiet mr-4"
        onClick={() => void svgToPng(svg(), ...size(), scale).then((png) => download(`${file}.png`, png))}
      >
        {phrases.saveAsPng}
      </button>
      <button
        type="button"
        className="btn-quiet mr-4"
        onClick={() => download(`${file}.svg`, svg(), 'image/svg+xml')}
      >
        {phrases.saveAsSvg}
      </button>
      {table && (
        <button
          type="button"
          className="btn-quiet"
          onClick={() => download(`${file}.csv`, writeTable(table.header, table.rows), 'text/csv')}
        >
          {phrases.saveAsCsv}
        </button>
      )}
    </p>
  );
}
