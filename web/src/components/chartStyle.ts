import { COLOUR } from '@urvek/draw';

/** Lines told by dashes and points as well as by colour: they stay apart in black and white. */
export const SERIES = [
  { type: 'solid', symbol: 'circle', colour: COLOUR.ink },
  { type: [9, 4], symbol: 'rect', colour: COLOUR.estimate },
  { type: [2, 3], symbol: 'triangle', colour: COLOUR.lost },
  { type: [12, 3, 2, 3], symbol: 'diamond', colour: COLOUR.claim },
  { type: [5, 2], symbol: 'pin', colour: COLOUR.clear },
] as const;

export const series = (i: number): (typeof SERIES)[number] =>
  SERIES[i % SERIES.length] as (typeof SERIES)[number];

/** Axes, legend and type of every chart. */
export const frame = (
  more: {
    readonly left?: number;
    readonly bottom?: number;
    readonly top?: number;
    readonly right?: number;
  } = {},
) => ({
  animation: false,
  textStyle: { fontFamily: 'Atkinson Hyperlegible, sans-serif' },
  grid: { left: 52, right: 24, top: 36, bottom: 42, ...more },
  legend: { top: 0, type: 'scroll', textStyle: { color: COLOUR.ink } },
});

export const axis = (name: string, more: object = {}) => ({
  type: 'value',
  name,
  nameLocation: 'middle',
  nameGap: 26,
  axisLabel: { color: COLOUR.ink, showMaxLabel: false },
  nameTextStyle: { color: COLOUR.ink },
  splitLine: { lineStyle: { color: COLOUR.rule } },
  ...more,
});

export const percent = (share: number): string => `${Math.round(100 * share)} %`;
