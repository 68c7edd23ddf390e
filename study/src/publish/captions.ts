import { byMethod, formatLength, positionAt, writeTable, type LengthUnit } from '@urvek/core';
import type { Finding } from '../results/findings.ts';
import * as phrases from './phrases.ts';

type Walked = Pick<Finding, 'trace'>;

/** How a recording's clock lies on the walk's, and how far it goes. */
export interface RecordingClock {
  /** The walk's second at which the recording begins. */
  readonly beginsS: number;
  readonly seconds: number;
}

/** What is said of one moment of a walk: from the log, with what is simulated or by eye marked. */
export interface Moment {
  /** Absent where no mark tells where one was. */
  readonly distance: string | undefined;
  readonly state: string;
  readonly dropouts: number;
}

/** What a caption shows at a second of the walk; undefined before its beginning and after its end. */
export function momentOf({ trace }: Walked, atS: number, unit: LengthUnit): Moment | undefined {
  if (atS < trace.begin.time.walkS || atS > trace.endS) return undefined;
  const here = positionAt(trace.fixes, atS);
  const stretch = trace.noticed.findLast((s) => s.fromS <= atS);
  const { method } = trace.fixes.findLast((f) => f.atS <= atS) ?? {};
  const marked = [
    ...(trace.begin.body.simulatedSeed === undefined ? [] : ['simulated']),
    ...(method === undefined || method === 'wheel' || method === 'laser' ? [] : [byMethod(method)]),
  ];
  return {
    distance:
      here &&
      `${formatLength(here.travelledM, unit)} ± ${formatLength(here.uncertaintyM, unit)}` +
        `${marked.length > 0 ? ` (${marked.join(', ')})` : ''}`,
    state: stretch?.stated ? phrases.grade(stretch.state, stretch.grade) : phrases.notGraded,
    dropouts: trace.noticed.filter((s) => s.grade === 1 && s.fromS <= atS).length,
  };
}

interface Cue {
  readonly fromS: number;
  readonly toS: number;
  readonly text: string;
}

const textOf = ({ distance, state, dropouts }: Moment): string =>
  [distance ?? phrases.distanceNotKnown, state, phrases.countedDropouts(dropouts)].join(' · ');

/** One a second, and a new one where the state changes; equal neighbours are one. Seconds of the recording. */
function cuesOf(finding: Walked, clock: RecordingClock, unit: LengthUnit): Cue[] {
  const { trace } = finding;
  const fromS = Math.max(0, trace.begin.time.walkS - clock.beginsS);
  const toS = Math.min(clock.seconds, trace.endS - clock.beginsS);
  const cuts = [
    fromS,
    ...Array.from(
      { length: Math.max(0, Math.ceil(toS) - Math.floor(fromS) - 1) },
      (_, i) => Math.floor(fromS) + 1 + i,
    ),
    ...trace.noticed.map((s) => s.fromS - clock.beginsS),
  ]
    .filter((s) => s >= fromS && s < toS)
    .sort((a, b) => a - b);
  const cues: Cue[] = [];
  cuts.forEach((at, i) => {
    const until = cuts[i + 1] ?? toS;
    const moment = momentOf(finding, at + clock.beginsS, unit);
    if (!moment || until - at < 1e-3) return;
    const last = cues.at(-1);
    const text = textOf(moment);
    if (last?.text === text && last.toS === at) cues[cues.length - 1] = { ...last, toS: until };
    else cues.push({ fromS: at, toS: until, text });
  });
  return cues;
}

const pad = (n: number, digits: number): string => String(n).padStart(digits, '0');
function clockText(seconds: number, point: string): string {
  const ms = Math.round(1000 * seconds);
  const [h, m, s] = [Math.floor(ms / 3_600_000), Math.floor(ms / 60_000) % 60, Math.floor(ms / 1000) % 60];
  return `${pad(h, 2)}:${pad(m, 2)}:${pad(s, 2)}${point}${pad(ms % 1000, 3)}`;
}

/** SubRip: numbered cues, decimal comma (common practice; it has no standard). */
export const srtOf = (finding: Walked, clock: RecordingClock, unit: LengthUnit): string =>
  cuesOf(finding, clock, unit)
    .map((c, i) => `${i + 1}\n${clockText(c.fromS, ',')} --> ${clockText(c.toS, ',')}\n${c.text}\n`)
    .join('\n');

/** WebVTT (W3C): what HTML plays. */
export const vttOf = (finding: Walked, clock: RecordingClock, unit: LengthUnit): string =>
  `WEBVTT\n\n${cuesOf(finding, clock, unit)
    .map((c) => `${clockText(c.fromS, '.')} --> ${clockText(c.toS, '.')}\n${c.text}\n`)
    .join('\n')}`;

/** What happened, in order, by the recording's clock. */
export interface Chapter {
  readonly atS: number;
  readonly what: string;
  readonly distance: string | undefined;
}

export function chaptersOf(
  finding: Walked,
  { beginsS, seconds }: RecordingClock,
  unit: LengthUnit,
): Chapter[] {
  const { trace } = finding;
  let dropouts = 0;
  const happened = [
    { atS: trace.begin.time.walkS, what: phrases.theWalkBegins },
    ...trace.noticed.slice(1).flatMap((s, i) => {
      if (!s.stated) return [];
      if (s.grade === 1) dropouts++;
      const before = trace.noticed[i];
      return [
        {
          atS: s.fromS,
          what:
            s.grade === 1
              ? `${dropouts === 1 ? phrases.firstDropout : phrases.dropout(dropouts)}`
              : before?.grade === 1
                ? phrases.backGrade(s.grade)
                : phrases.grade2(s.grade),
        },
      ];
    }),
    ...(trace.turnS === undefined ? [] : [{ atS: trace.turnS, what: phrases.turnedRound }]),
    ...(trace.endReason === undefined ? [] : [{ atS: trace.endS, what: phrases.ended(trace.endReason) }]),
  ];
  return happened
    .map(({ atS, what }) => ({ atS: atS - beginsS, what, distance: momentOf(finding, atS, unit)?.distance }))
    .filter((c) => c.atS >= 0 && c.atS <= seconds)
    .sort((a, b) => a.atS - b.atS);
}

const minutes = (seconds: number): string => {
  const whole = Math.floor(seconds);
  const h = Math.floor(whole / 3600);
  const m = Math.floor(whole / 60) % 60;
  return h > 0 ? `${h}:${pad(m, 2)}:${pad(whole % 60, 2)}` : `${m}:${pad(whole % 60, 2)}`;
};

/** Lines for a description: "3:12 first dropout, 187 m ± 3 m". */
export const chapterList = (...asked: Parameters<typeof chaptersOf>): string =>
  `${chaptersOf(...asked)
    .map((c) => `${minutes(c.atS)} ${c.what}${c.distance === undefined ? '' : `, ${c.distance}`}`)
    .join('\n')}\n`;

/** Cuts for an edit, as CSV: in and out in seconds of the recording, with what is seen between. */
export function cutsCsv(finding: Walked, clock: RecordingClock, unit: LengthUnit): string {
  const chapters = chaptersOf(finding, clock, unit);
  const lastS = Math.min(clock.seconds, finding.trace.endS - clock.beginsS);
  return writeTable(
    ['from_s', 'to_s', 'what', 'distance'],
    chapters.map((c, i) => [
      c.atS.toFixed(3),
      (chapters[i + 1]?.atS ?? lastS).toFixed(3),
      c.what,
      c.distance ?? '',
    ]),
  );
}
