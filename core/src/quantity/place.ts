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

const UNKNOWN = /^(\?+|unknown|not known|no idea|n\/?a|-+)?$/i;
const OVER = /^(?:over|beyond|past|more than|>)\s*(.+)$/i;
const UNDER = /^(?:under|before|less than|short of|<)\s*(.+)$/i;
const ROUGH = /^(?:about|around|roughly|approx(?:\.|imately)?|circa|ca\.?|c\.|~|≈)\s*(.+)$/i;
const ISH = /^([\d.,]+)\s*-?ish\s*([^\d\s]*)$/i;
const BETWEEN = /^(?:between\s+)?([\d.,]+)\s*([^\d\s.,–-]*)\s*(?:-|–|to|and)\s*([\d.,]+)\s*([^\d\s.,]*)$/i;
const PACES = /^(\d+(?:\.\d+)?)\s*paces?$/i;

/**
 * Reads a place: "40", "about 40 yd", "~40", "40ish", "between 30 and 40 m", "30-40", "over 40", "under 40",
 * "52 paces", "?". Figures without a unit are in the default one; "by eye" keeps its scale error beside
 * what is said here.
 * @throws RangeError with the text when it is none of these.
 */
export function parsePlace(text: string, method: DistanceMethod, unit: LengthUnit = 'm'): WrittenPlace {
  const trimmed = text.trim();
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
