import type { Direction } from '../grade/direction.ts';
import type { Quantity } from '../log/event.ts';
import { median } from '../numeric/median.ts';

/** One reading of a file of another tool, by that tool's own clock. */
export interface FileReading {
  /** Seconds since the run began. */
  readonly fromS: number;
  readonly toS: number;
  readonly quantity: Quantity;
  readonly direction: Direction;
  /** Absent: nothing came through. */
  readonly value?: number;
  readonly least?: number;
  readonly most?: number;
}

/** What a file says, interval by interval and as a whole. */
export interface MeasuredFile {
  readonly instrument: string;
  /** When it began by its device's clock, ms since 1970; undefined: the file does not say. */
  readonly startedMs: number | undefined;
  readonly seconds: number;
  readonly steps: readonly FileReading[];
  readonly whole: readonly FileReading[];
  /** What else it says, in words: retransmissions, what was left out, why it ended. */
  readonly notes: readonly string[];
}

/** Median and spread of what was read step by step, as one reading of the whole time. */
export function wholeOf(steps: readonly FileReading[], seconds: number): FileReading[] {
  const keys = [...new Set(steps.map((s) => `${s.quantity}/${s.direction}`))];
  return keys.flatMap((key): FileReading[] => {
    const own = steps.filter((s) => `${s.quantity}/${s.direction}` === key);
    const [first] = own as [FileReading];
    const values = own.map((s) => s.value ?? (s.quantity === 'throughput' ? 0 : undefined));
    const read = values.filter((v) => v !== undefined);
    const of = { fromS: 0, toS: seconds, quantity: first.quantity, direction: first.direction };
    if (read.length === 0) return [of];
    return [{ ...of, value: median(read), least: Math.min(...read), most: Math.max(...read) }];
  });
}

/**
 * Steps of the same length on: what lies in one of them becomes one reading, so that a ping an hour long is no flood.
 */
export function everySteps(steps: readonly FileReading[], lengthS: number): FileReading[] {
  if (!(lengthS > 0)) throw new RangeError(`invalid lengthS: ${lengthS}`);
  const bins = new Map<number, FileReading[]>();
  for (const step of steps) {
    const bin = Math.floor(step.fromS / lengthS);
    const own = bins.get(bin);
    if (own) own.push(step);
    else bins.set(bin, [step]);
  }
  return [...bins]
    .sort(([a], [b]) => a - b)
    .flatMap(([bin, own]) =>
      wholeOf(own, 0).map((w) => ({ ...w, fromS: bin * lengthS, toS: (bin + 1) * lengthS })),
    );
}
