/**
 * A picture as data: pure, and the same on screen, on paper and from the command line. Lengths in px of the
 * view box.
 */
export type Shape =
  | {
      readonly kind: 'rect';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly role: string;
    }
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly role: string;
    }
  | { readonly kind: 'path'; readonly d: string; readonly role: string }
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly role: string;
    };

/** Shapes that belong together and are told by one sentence. */
export interface Group {
  readonly id: string;
  /** What it says, for those who do not see it. */
  readonly title: string | undefined;
  readonly shapes: readonly Shape[];
  /** Drawn there and so many times as large; absent: where its shapes say. */
  readonly at?: { readonly x: number; readonly y: number; readonly scale: number };
}

/** A group within another picture. */
export const placeGroup = (group: Group, x: number, y: number, scale: number): Group => ({
  ...group,
  at: {
    x: x + scale * (group.at?.x ?? 0),
    y: y + scale * (group.at?.y ?? 0),
    scale: scale * (group.at?.scale ?? 1),
  },
});

export const transformOf = ({ at }: Group): string | undefined =>
  at && `translate(${at.x.toFixed(2)} ${at.y.toFixed(2)}) scale(${at.scale.toFixed(4)})`;

export interface Scene {
  readonly width: number;
  readonly height: number;
  readonly title: string;
  readonly groups: readonly Group[];
}

export const rect = (x: number, y: number, width: number, height: number, role: string): Shape => ({
  kind: 'rect',
  x,
  y,
  width: Math.max(0, width),
  height,
  role,
});
export const line = (x1: number, y1: number, x2: number, y2: number, role: string): Shape => ({
  kind: 'line',
  x1,
  y1,
  x2,
  y2,
  role,
});
export const path = (d: string, role: string): Shape => ({ kind: 'path', d, role });
export const text = (
  x: number,
  y: number,
  value: string,
  role: string,
  anchor: 'start' | 'middle' | 'end' = 'start',
): Shape => ({ kind: 'text', x, y, text: value, anchor, role });
