import type { LevelReading } from '../estimate/level/fitExponent.ts';
import { FormatError, readTable } from './table.ts';
import * as phrases from './phrases.ts';

/** What else is on the air, one line a signal. */
export interface SurveyEntry {
  readonly when: 'before' | 'after';
  readonly end: 'fixed' | 'mobile';
  readonly frequencyMHz: number;
  readonly levelDbm: number;
  readonly what: string;
}

/** Reads a survey: `when,end,frequency_mhz,level_dbm` and, where known, `what`. @throws FormatError */
export const readSurvey = (text: string): SurveyEntry[] =>
  readTable(text, { required: ['when', 'end', 'frequency_mhz', 'level_dbm'], optional: ['what'] }).map(
    (row) => {
      const one = <T extends string>(column: string, choices: readonly T[]): T => {
        const found = choices.find((c) => c === row.text(column));
        if (found === undefined)
          throw new FormatError(
            row.line,
            column,
            phrases.isNoneOf(JSON.stringify(row.text(column)), choices.join(', ')),
          );
        return found;
      };
      return {
        when: one('when', ['before', 'after']),
        end: one('end', ['fixed', 'mobile']),
        frequencyMHz: row.number('frequency_mhz'),
        levelDbm: row.number('level_dbm'),
        what: row.text('what'),
      };
    },
  );

/**
 * Reads logged levels: `distance_m,level_dbm`, the level empty where nothing was received.
 * @throws FormatError
 */
export const readLevels = (text: string): LevelReading[] =>
  readTable(text, { required: ['distance_m', 'level_dbm'] }).map((row) => {
    const distanceM = row.number('distance_m');
    if (!(distanceM > 0)) throw new FormatError(row.line, 'distance_m', phrases.isNotAbove0(distanceM));
    const levelDbm = row.optionalNumber('level_dbm');
    return levelDbm === undefined ? { distanceM, lost: true } : { distanceM, levelDbm };
  });
