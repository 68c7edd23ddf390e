import { mean } from '../../numeric/moments.ts';
import { studentQuantile } from '../../numeric/student.ts';
import * as phrases from './phrases.ts';

/** One reading at a place where nobody walks, under one setting, in the order in which it was taken. */
export interface StationReading {
  readonly setting: string;
  readonly value: number;
}

export interface SettingFound {
  readonly setting: string;
  readonly n: number;
  readonly mean: number;
  readonly least: number;
  readonly most: number;
}

/** One setting over another, with what the repeats of one setting say of its uncertainty. */
export interface StationEffect {
  readonly setting: string;
  readonly over: string;
  readonly difference: number;
  /** 95 %; undefined: no setting was read twice, and nothing is known of the spread. */
  readonly half95: number | undefined;
}

export interface StationFound {
  readonly settings: readonly SettingFound[];
  /** Standard deviation of repeats of one setting, pooled; undefined: none was read twice. */
  readonly repeatSd: number | undefined;
  readonly repeatDf: number;
  /** Each setting was read once before another was read again. */
  readonly mixed: boolean;
  /** The best one over the next best. */
  readonly best: StationEffect | undefined;
  /** It beats the repeats: the only case in which one is named. */
  readonly isBest: boolean;
  /** Of exactly two settings, the first of them read again at the end: the second over the first. */
  readonly beforeAfter: StationEffect | undefined;
}

/** Tests of the best against each other one share this chance (Bonferroni). */
const LEVEL = 0.05;

/**
 * What a sweep of a setting, or a before and after, says at one place. The spread is that of repeats of one setting;
 * without repeats every difference stands alone, and no setting is named best.
 * @throws RangeError for a value that is none
 */
export function stationFound(readings: readonly StationReading[], moreIsBetter: boolean): StationFound {
  const groups = new Map<string, number[]>();
  for (const { setting, value } of readings) {
    if (!Number.isFinite(value)) throw new RangeError(phrases.invalidValue(value));
    const group = groups.get(setting);
    if (group) group.push(value);
    else groups.set(setting, [value]);
  }
  const settings = [...groups].map(([setting, values]): SettingFound => ({
    ...{ setting, n: values.length, mean: mean(values) },
    ...{ least: Math.min(...values), most: Math.max(...values) },
  }));
  const squares = [...groups.values()].reduce((sum, values) => {
    const middle = mean(values);
    return sum + values.reduce((s, v) => s + (v - middle) ** 2, 0);
  }, 0);
  const repeatDf = readings.length - groups.size;
  const repeatSd = repeatDf > 0 ? Math.sqrt(squares / repeatDf) : undefined;
  const effect = (a: SettingFound, b: SettingFound, tests = 1): StationEffect => ({
    ...{ setting: a.setting, over: b.setting, difference: a.mean - b.mean },
    half95:
      repeatSd === undefined
        ? undefined
        : studentQuantile(1 - LEVEL / tests / 2, repeatDf) * repeatSd * Math.sqrt(1 / a.n + 1 / b.n),
  });
  const [first, second] = [...settings].sort((a, b) => (moreIsBetter ? b.mean - a.mean : a.mean - b.mean));
  const best = first && second && effect(first, second, settings.length - 1);
  const [before, after] = settings;
  return {
    settings,
    repeatSd,
    repeatDf,
    mixed: isMixed(readings),
    best,
    isBest: best?.half95 !== undefined && Math.abs(best.difference) > best.half95,
    beforeAfter:
      settings.length === 2 && before && after && readings.at(-1)?.setting === before.setting && before.n > 1
        ? effect(after, before)
        : undefined,
  };
}

/** No setting was read twice in a row, and some again after another: a drift does not look like a setting. */
function isMixed(readings: readonly StationReading[]): boolean {
  const runs = readings.filter((r, i) => r.setting !== readings[i - 1]?.setting);
  return runs.length === readings.length && runs.length > new Set(runs.map((r) => r.setting)).size;
}

/** Exponents between which distance falls with level: free space, and flat ground far out. */
const EXPONENTS = [2, 4] as const;

/**
 * How much farther so many decibels may reach, between the exponents 2 and 4, never as one figure.
 * Worked value: 10 dB is ×3.162 to ×1.778.
 */
export const distanceRatios = (decibels: number): readonly [number, number] => {
  const [open, ground] = EXPONENTS.map((n) => 10 ** (decibels / (10 * n)));
  return [open as number, ground as number];
};
