import { METHOD_UNCERTAINTY, type DistanceMethod, type DistanceReading } from './distanceMethod.ts';
import { parseLength, type LengthUnit } from './length.ts';

/** A place as people write it. */
export interface WrittenPlace {
  /** Absent: "?", nobody knows. */
  readonly reading: DistanceReading | undefined;
  /** "over 40", "under 40": the place itself is on the far or the near side of what is written. */
  readonly side: 'at' | 'over' | 'under';
}

/** "about", "~", "-ish": relative standard uncertainty, independent by mark. */
const ABOUT = 0.1;
/** A pace that was not calibrated, m (common practice). */
const PACE_M = 0.75;

/** A point of the path that has a name and a distance. */
export interface PlacedName {
  readonly name: string;
  readonly atM: number;
}

/** A place beside a point that the path does not have, or not with a distance: it orders, and measures nothing. */
export class UnknownPoint extends RangeError {
  constructor(readonly point: string) {
    super(`invalid place: no point is called ${JSON.stringify(point)}`);
    this.name = 'UnknownPoint';
  }
}

/** A length judged by eye beside a point: it is off by so much of itself. */
const JUDGED = METHOD_UNCERTAINTY['by eye'].scale;

const WORDS: Readonly<Record<string, number>> = {
  ...{ a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9 },
  ...{ ten: 10, twelve: 12, fifteen: 15, twenty: 20, thirty: 30, forty: 40, fifty: 50, hundred: 100 },
};
const WORD = new RegExp(`^(${Object.keys(WORDS).join('|')})\\b`, 'i');

const BESIDE =
  /^(\S.*?)\s+(beyond|past|behind|after|farther than|before|short of|this side of)\s+(?:the\s+)?(\S.*)$/i;

/** "ten feet beyond the edge", where the path has such a point. */
function besidePoint(
  [, written = '', word = '', named = '']: readonly string[],
  method: DistanceMethod,
  unit: LengthUnit,
  points: readonly PlacedName[],
): WrittenPlace {
  const point = points.find((p) => p.name.toLowerCase() === named.toLowerCase());
  if (!point) throw new UnknownPoint(named);
  const figures = written.replace(WORD, (w) => String(WORDS[w.toLowerCase()]));
  const { reading } = parsePlace(figures, method, unit);
  if (!reading) throw new UnknownPoint(named);
  const offM = reading.travelledM;
  const travelledM = point.atM + (/before|short|this side/i.test(word) ? -offM : offM);
  if (!(travelledM >= 0)) throw new RangeError(`invalid place: ${travelledM} m`);
  return {
    reading: {
      travelledM,
      method,
      uncertaintyM: Math.hypot(METHOD_UNCERTAINTY[method].independentM, JUDGED * offM),
    },
    side: 'at',
  };
}

const UNKNOWN = /^(\?+|unknown|not known|no idea|n\/?a|-+)?$/i;
const OVER = /^(?:over|beyond|past|more than|>)\s*(.+)$/i;
const UNDER = /^(?:under|before|less than|short of|<)\s*(.+)$/i;
const ROUGH = /^(?:about|around|roughly|approx(?:\.|imately)?|circa|ca\.?|c\.|~|≈)\s*(.+)$/i;
const ISH = /^([\d.,]+)\s*-?ish\s*([^\d\s]*)$/i;
const BETWEEN = /^(?:between\s+)?([\d.,]+)\s*([^\d\s.,–-]*)\s*(?:-|–|to|and)\s*([\d.,]+)\s*([^\d\s.,]*)$/i;
const PACES = /^(\d+(?:\.\d+)?)\s*paces?$/i;

/**
 * Reads a place: "40", "about 40 yd", "~40", "40ish", "between 30 and 40 m", "30-40", "over 40", "under 40",
 * "52 paces", "ten feet beyond the gate", "?". Figures without a unit are in the default one; "by eye" keeps
 * its scale error beside what is said here.
 * @param points what the path has, by name, for places beside one of them
 * @throws UnknownPoint beside a point that is not there; RangeError with the text when it is none of these.
 */
export function parsePlace(
  text: string,
  method: DistanceMethod,
  unit: LengthUnit = 'm',
  points: readonly PlacedName[] = [],
): WrittenPlace {
  const trimmed = text.trim();
  const beside = BESIDE.exec(trimmed);
  if (beside) return besidePoint(beside, method, unit, points);
  if (UNKNOWN.test(trimmed)) return { reading: undefined, side: 'at' };
  const beyond = OVER.exec(trimmed)?.[1];
  if (beyond !== undefined) return { ...parsePlace(beyond, method, unit), side: 'over' };
  const short = UNDER.exec(trimmed)?.[1];
  if (short !== undefined) return { ...parsePlace(short, method, unit), side: 'under' };
  const ish = ISH.exec(trimmed);
  const rough = ROUGH.exec(trimmed)?.[1] ?? (ish ? `${ish[1]} ${ish[2]}`.trim() : undefined);
  if (rough !== undefined) {
    const { reading } = parsePlace(rough, method, unit);
    if (!reading) throw new RangeError(`invalid place: ${JSON.stringify(text)}`);
    const own = reading.uncertaintyM ?? METHOD_UNCERTAINTY[reading.method].independentM;
    return {
      reading: { ...reading, uncertaintyM: Math.max(ABOUT * reading.travelledM, own) },
      side: 'at',
    };
  }
  const paces = PACES.exec(trimmed)?.[1];
  if (paces !== undefined)
    return { reading: { travelledM: PACE_M * Number(paces), method: 'paces' }, side: 'at' };
  const span = BETWEEN.exec(trimmed);
  if (span?.[1] !== undefined && span[3] !== undefined) {
    const last = span[4] ?? '';
    const first = span[2] === undefined || span[2] === '' ? last : span[2];
    const [a, b] = [
      parseLength(`${span[1]} ${first}`, unit).valueM,
      parseLength(`${span[3]} ${last}`, unit).valueM,
    ];
    if (!(b > a)) throw new RangeError(`invalid place: ${JSON.stringify(text)}`);
    // Rectangular (JCGM 100, 4.3.7, from memory).
    return {
      reading: { travelledM: (a + b) / 2, method, uncertaintyM: (b - a) / Math.sqrt(12) },
      side: 'at',
    };
  }
  return { reading: { travelledM: parseLength(trimmed, unit).valueM, method }, side: 'at' };
}
