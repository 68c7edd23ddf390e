import {
  distanceRatios,
  isMoreBetter,
  QUANTITY_UNIT,
  stationFound,
  type StationEffect,
  type StationFound,
} from '@urvek/core';
import type { Product, Setup, StationRow } from '@urvek/contract';
import * as phrases from './phrases.ts';

/** Readings at one place without a walk, and what they say. */
export interface StationJudged {
  readonly row: StationRow;
  readonly product: Product | undefined;
  readonly found: StationFound;
  /** In words, each by itself. */
  readonly said: readonly string[];
}

/** Decibels that are differences: dBm less dBm. */
const unitOf = ({ quantity }: StationRow): string =>
  quantity === 'level' || quantity === 'level change' ? 'dB' : QUANTITY_UNIT[quantity];

export const judgeStations = ({ products, stations = [] }: Setup): StationJudged[] =>
  stations.map((row) => {
    const found = stationFound(row.readings, isMoreBetter(row.quantity));
    return {
      row,
      product: products.find((p) => p.id === row.productId),
      found,
      said: row.readings.length === 0 ? [phrases.nothingWasReadYet] : sentencesOf(row, found),
    };
  });

function sentencesOf(row: StationRow, found: StationFound): string[] {
  // Bars have an order, and no size: nothing is reckoned from them.
  if (row.quantity === 'bars')
    return [
      phrases.byBarsBarsHaveAnOrder(
        found.settings
          .map((s) => `${s.setting} ${s.least === s.most ? s.least : phrases.to(s.least, s.most)} (n ${s.n})`)
          .join(', '),
      ),
    ];
  const { best, beforeAfter, isBest, repeatSd, mixed, settings } = found;
  const unit = unitOf(row);
  const spread =
    repeatSd === undefined
      ? phrases.noSettingWasReadTwiceHow
      : phrases.readingsOfOneSettingLieApart(
          repeatSd.toFixed(1),
          unit,
          phrases.countedRepeats(found.repeatDf),
        );
  const effect = beforeAfter ?? best;
  return [
    ...(effect ? [effectText(effect, row, beforeAfter !== undefined, isBest)] : []),
    spread,
    ...(!mixed && settings.length > 1 && found.repeatDf > 0 ? [phrases.theyWereReadInBlocksA] : []),
  ];
}

function effectText(effect: StationEffect, row: StationRow, isBefore: boolean, isBest: boolean): string {
  const { setting, over, difference, half95 } = effect;
  const unit = unitOf(row);
  const size = `${difference >= 0 ? '+' : '−'}${Math.abs(difference).toFixed(1)} ${unit}`;
  const known = half95 === undefined ? '' : ` ± ${half95.toFixed(1)} ${unit} (95 %)`;
  const beats = half95 !== undefined && Math.abs(difference) > half95;
  const verdict =
    half95 === undefined
      ? ''
      : beats
        ? isBefore
          ? phrases.moreThanTheRepeatsDiffer
          : phrases.whichBeatsTheRepeats
        : phrases.notLargerThanWhatTheSpread(isBefore ? '' : phrases.noneIsNamedBest);
  const far = beats && unit === 'dB' ? `; ${ratioText(difference)}` : '';
  const who = isBefore || !isBest ? phrases.against(setting, over) : phrases.isBestAgainst(setting, over);
  return `${who}: ${size}${known}${verdict}${far}.`;
}

/** "worth ×3.16 in distance in free space to ×1.78 over flat ground". */
const ratioText = (decibels: number): string => {
  const [open, ground] = distanceRatios(decibels);
  return phrases.inDistanceBetweenExponent2And(open.toFixed(2), ground.toFixed(2));
};
