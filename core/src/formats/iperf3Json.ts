import type { Direction } from '../grade/direction.ts';
import { FormatError } from './table.ts';
import { wholeOf, type FileReading, type MeasuredFile } from './measuredFile.ts';
import * as phrases from './phrases.ts';

type Json = Readonly<Record<string, unknown>>;

const part = (of: unknown, name: string): Json | undefined => {
  const value = typeof of === 'object' && of !== null ? (of as Json)[name] : undefined;
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Json) : undefined;
};
const list = (of: unknown, name: string): readonly unknown[] => {
  const value = typeof of === 'object' && of !== null ? (of as Json)[name] : undefined;
  return Array.isArray(value) ? value : [];
};
const figure = (of: Json | undefined, name: string): number | undefined => {
  const value = of?.[name];
  return typeof value === 'number' && Number.isFinite(value) ? value : undefined;
};

/** The way that the client sends: from the mobile end, unless the client stood at the fixed one. */
const OTHER: Readonly<Record<Direction, Direction>> = {
  'mobile-to-fixed': 'fixed-to-mobile',
  'fixed-to-mobile': 'mobile-to-fixed',
};

/** Whether a text is what `iperf3 -J` writes. */
export const isIperf3 = (text: string): boolean =>
  /^\s*\{/.test(text) &&
  /"test_start"|"connecting_to"|"sum_received"|"error"/.test(text) &&
  /"intervals"/.test(text);

/**
 * Reads the JSON of iperf3 (its own documentation of `-J`, from memory, and files that it writes in the tests): steps
 * as they are, those that it left out left out; both ways at once apart; of UDP jitter and loss too.
 * @param sends which way the client sends when nothing is reversed @throws FormatError
 */
export function readIperf3(text: string, sends: Direction = 'mobile-to-fixed'): MeasuredFile {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    throw new FormatError(1, undefined, phrases.noJson((error as Error).message));
  }
  const start = part(json, 'start');
  const test = part(start, 'test_start');
  const end = part(json, 'end');
  const udp = test?.protocol === 'UDP';
  const main = figure(test, 'reverse') === 1 ? OTHER[sends] : sends;
  const both = figure(test, 'bidir') === 1;
  let omitted = 0;
  const steps = list(json, 'intervals').flatMap((interval): FileReading[] => {
    const sums: readonly (readonly [Json | undefined, Direction])[] = [
      [part(interval, 'sum'), main],
      ...(both ? [[part(interval, 'sum_bidir_reverse'), OTHER[main]] as const] : []),
    ];
    return sums.flatMap(([sum, direction]) => {
      if (!sum) return [];
      if (sum.omitted === true) {
        omitted++;
        return [];
      }
      return stepOf(sum, direction, udp);
    });
  });
  const seconds = Math.max(0, ...steps.map((s) => s.toS));
  const error = (json as Json).error;
  const retransmits = figure(part(end, 'sum_sent'), 'retransmits');
  if (steps.length === 0 && typeof error !== 'string')
    throw new FormatError(1, undefined, phrases.noIntervalWasMeasuredIsThis);
  const lost = steps.length === 0 ? [noConnection(main)] : [];
  return {
    instrument: `iperf3 ${udp ? 'UDP' : 'TCP'}`,
    startedMs: startedOf(start),
    seconds,
    steps: [...steps, ...lost],
    whole: [...received(end, steps, main, both, seconds, udp), ...lost],
    notes: [
      ...(typeof error === 'string' ? [phrases.itEndedWith(error)] : []),
      ...(retransmits !== undefined && retransmits > 0 ? [`${retransmits} retransmissions`] : []),
      ...(omitted > 0 ? [phrases.intervalsAtTheBeginningWereLeft(omitted)] : []),
    ],
  };
}

const noConnection = (direction: Direction): FileReading => ({
  ...{ fromS: 0, toS: 0, quantity: 'throughput', direction },
});

const startedOf = (start: Json | undefined): number | undefined => {
  const seconds = figure(part(start, 'timestamp'), 'timesecs');
  return seconds === undefined ? undefined : 1000 * seconds;
};

function stepOf(sum: Json, direction: Direction, udp: boolean): FileReading[] {
  const [fromS, toS, bits] = [figure(sum, 'start'), figure(sum, 'end'), figure(sum, 'bits_per_second')];
  if (fromS === undefined || toS === undefined || bits === undefined) return [];
  const of = { fromS, toS, direction };
  const [jitter, loss] = [figure(sum, 'jitter_ms'), figure(sum, 'lost_percent')];
  // What a sender of UDP counts of its own is not what arrived.
  const heard = udp && sum.sender !== true;
  return [
    { ...of, quantity: 'throughput', value: bits / 1e6 },
    ...(heard && jitter !== undefined ? [{ ...of, quantity: 'jitter', value: jitter } as const] : []),
    ...(heard && loss !== undefined ? [{ ...of, quantity: 'loss', value: loss } as const] : []),
  ];
}

/** Over the whole time by what arrived, where the file has it; with the spread of the steps. */
function received(
  end: Json | undefined,
  steps: readonly FileReading[],
  main: Direction,
  both: boolean,
  seconds: number,
  udp: boolean,
): FileReading[] {
  const arrived = (direction: Direction): Json | undefined =>
    direction === main
      ? (part(end, 'sum_received') ?? part(end, 'sum'))
      : both
        ? part(end, 'sum_received_bidir_reverse')
        : undefined;
  const whole = wholeOf(steps, seconds).map((reading): FileReading => {
    const sum = arrived(reading.direction);
    const bits = reading.quantity === 'throughput' ? figure(sum, 'bits_per_second') : undefined;
    if (bits === undefined) return reading;
    const value = bits / 1e6;
    return {
      ...reading,
      value,
      least: Math.min(value, reading.least ?? value),
      most: Math.max(value, reading.most ?? value),
    };
  });
  if (!udp) return whole;
  const sum = part(end, 'sum_received') ?? part(end, 'sum');
  const [jitter, loss] = [figure(sum, 'jitter_ms'), figure(sum, 'lost_percent')];
  const of = { fromS: 0, toS: seconds, direction: main };
  const has = (quantity: FileReading['quantity']): boolean => whole.some((w) => w.quantity === quantity);
  return [
    ...whole,
    ...(jitter !== undefined && !has('jitter')
      ? [{ ...of, quantity: 'jitter', value: jitter } as const]
      : []),
    ...(loss !== undefined && !has('loss') ? [{ ...of, quantity: 'loss', value: loss } as const] : []),
  ];
}
