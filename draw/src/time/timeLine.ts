import { isAutomatic, stateOf, type Trace, type WalkEvent } from '@urvek/core';
import { onePerPixel } from '../onePerPixel.ts';
import { line, path, rect, text, type Group, type Scene, type Shape } from '../scene.ts';
import * as phrases from './phrases.ts';

export interface TimeLineOptions {
  readonly trace: Trace;
  readonly log: readonly WalkEvent[];
  readonly width: number;
  /** What of the walk is shown, seconds on its clock. */
  readonly fromS: number;
  readonly toS: number;
  readonly selected?: { readonly deviceId: string; readonly seq: number };
  /** Where one points, s on the walk's clock. */
  readonly atS?: number;
}

const [LEFT, RIGHT] = [110, 16];
const STATE_HEIGHT = 22;
const WAY_HEIGHT = 76;
const DEVICE_HEIGHT = 26;

const secondsText = (s: number): string =>
  `${Math.floor(s / 60)}:${String(Math.floor(s % 60)).padStart(2, '0')}`;

/** A round step of seconds that gives about `wanted` ticks. */
const stepOf = (spanS: number, wanted = 10): number =>
  [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 1200, 3600].find((s) => spanS / s <= wanted) ?? 3600;

/** The moment under a place of the picture, within what is shown. */
export const timeAt = (
  { width, fromS, toS }: Pick<TimeLineOptions, 'width' | 'fromS' | 'toS'>,
  px: number,
): number =>
  fromS + Math.min(1, Math.max(0, (px - LEFT) / Math.max(1, width - LEFT - RIGHT))) * (toS - fromS);

/** A walk over time: states, the way walked with its uncertainty, and what each device logged. */
export function timeLineScene({ trace, log, width, fromS, toS, selected, atS }: TimeLineOptions): Scene {
  const x = (s: number): number =>
    LEFT +
    ((Math.min(toS, Math.max(fromS, s)) - fromS) / Math.max(1e-9, toS - fromS)) * (width - LEFT - RIGHT);
  const inside = (s: number): boolean => s >= fromS && s <= toS;
  const isSelected = (e: WalkEvent): boolean => selected?.deviceId === e.deviceId && selected.seq === e.seq;
  const devices = [...new Set(log.map((e) => e.deviceId))];
  const [statesTop, wayTop] = [24, 24 + STATE_HEIGHT + 10];
  const devicesTop = wayTop + WAY_HEIGHT + 12;
  const height = devicesTop + devices.length * DEVICE_HEIGHT + 6;
  const step = stepOf(toS - fromS);
  const ticks = Array.from(
    { length: Math.max(0, Math.floor(toS / step) - Math.ceil(fromS / step) + 1) },
    (_, i) => (Math.ceil(fromS / step) + i) * step,
  );
  const groups: Group[] = [
    {
      id: 'time',
      title: undefined,
      shapes: ticks.flatMap((s) => [
        line(x(s), 16, x(s), height - 6, 'grid'),
        text(x(s), 12, secondsText(s), 'figure', 'middle'),
      ]),
    },
    {
      id: 'states',
      title: phrases.statesOverTime,
      shapes: [
        text(4, statesTop + 15, 'state', 'label'),
        ...trace.stretches
          .filter((s) => s.toS > fromS && s.fromS < toS)
          .flatMap((s) => stateShapes(s, x, statesTop)),
      ],
    },
    { id: 'way', title: phrases.distanceOverTime, shapes: wayShapes(trace, x, inside, wayTop) },
    ...(atS !== undefined && inside(atS)
      ? [{ id: 'here', title: undefined, shapes: [line(x(atS), 16, x(atS), height - 6, 'cursor')] }]
      : []),
    ...devices.map((deviceId, row): Group => {
      const top = devicesTop + row * DEVICE_HEIGHT;
      return {
        id: `device-${deviceId}`,
        title: phrases.whatDeviceLogged(row + 1),
        shapes: [
          line(LEFT, top + DEVICE_HEIGHT - 4, width - 16, top + DEVICE_HEIGHT - 4, 'lane'),
          text(4, top + 15, devices.length > 1 ? phrases.device(row + 1) : 'logged', 'label'),
        ],
      };
    }),
    ...onePerPixel(
      log.filter((e) => inside(e.time.walkS) && e.kind !== 'correction'),
      (e) => `${e.deviceId}/${e.kind}/${Math.round(x(e.time.walkS))}`,
      isSelected,
    ).map((e): Group => ({
      id: `event-${e.deviceId}-${e.seq}`,
      title: phrases.atS(e.kind, e.time.walkS.toFixed(1)),
      shapes: eventShapes(
        e,
        x(e.time.walkS),
        devicesTop + devices.indexOf(e.deviceId) * DEVICE_HEIGHT,
        isSelected(e),
      ),
    })),
  ];
  return { width, height, title: phrases.theWalkOverTime, groups };
}

function stateShapes(
  { fromS, toS, state }: Trace['stretches'][number],
  x: (s: number) => number,
  top: number,
): Shape[] {
  const [a, b] = [x(fromS), x(toS)];
  if (state === 'clear') return [rect(a, top, b - a, STATE_HEIGHT, 'clear')];
  if (state === 'degraded') return [rect(a, top + STATE_HEIGHT / 2, b - a, STATE_HEIGHT / 2, 'degraded')];
  return [
    path(
      `M${a + 3} ${top}H${a}V${top + STATE_HEIGHT}H${a + 3}M${b - 3} ${top}H${b}V${top + STATE_HEIGHT}H${b - 3}`,
      'lost',
    ),
  ];
}

function wayShapes(
  { fixes }: Trace,
  x: (s: number) => number,
  inside: (s: number) => boolean,
  top: number,
): Shape[] {
  const farthestM = Math.max(1, ...fixes.map((f) => f.travelledM));
  const y = (m: number): number => top + WAY_HEIGHT * (1 - m / farthestM);
  const shown = onePerPixel(
    fixes.filter((f) => inside(f.atS)),
    (f) => Math.round(x(f.atS)),
  );
  const way = shown.map((f) => `${x(f.atS).toFixed(1)} ${y(f.travelledM).toFixed(1)}`).join('L');
  return [
    text(4, top + 12, `${farthestM.toFixed(0)} m`, 'small'),
    text(4, top + WAY_HEIGHT, '0 m', 'small'),
    text(4, top + WAY_HEIGHT / 2 + 4, 'travelled', 'label'),
    ...(shown.length > 1 ? [path(`M${way}`, 'curve')] : []),
    ...shown.map((f) =>
      line(
        x(f.atS),
        y(Math.max(0, f.travelledM - 2 * f.uncertaintyM)),
        x(f.atS),
        y(f.travelledM + 2 * f.uncertaintyM),
        'mark',
      ),
    ),
  ];
}

/** Presses stand tall, instruments low; a grade carries its figure. */
function eventShapes(event: WalkEvent, x: number, top: number, selected: boolean): Shape[] {
  const base = top + DEVICE_HEIGHT - 4;
  const automatic = isAutomatic(event);
  const grade =
    event.kind === 'grade' || event.kind === 'call'
      ? event.body.grade
      : event.kind === 'dropoutBegin'
        ? 1
        : undefined;
  return [
    line(
      x,
      base,
      x,
      base - (automatic ? 6 : 14),
      selected ? 'cursor' : grade !== undefined && stateOf(grade) === 'lost' ? 'lost' : 'tick',
    ),
    ...(grade === undefined ? [] : [text(x + 2, base - 8, String(grade), 'small')]),
    ...(selected ? [path(`M${x} ${base - 15}l-5 -8h10z`, 'here')] : []),
  ];
}
