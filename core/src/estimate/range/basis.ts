import type { CellFinding } from './cellFinding.ts';
import { outingText } from './outings.ts';
import type { RatioFinding } from './ratioFinding.ts';
import { scaleText } from './scaleError.ts';
import * as phrases from './phrases.ts';

const joined = (parts: readonly (string | undefined)[]): string =>
  parts.filter((t) => t !== undefined).join(', ');

/** What a cell rests on: "6 walks, over 3 outings, distances by eye, which may all be off by a factor of 1.67". */
export const cellBasis = (cell: CellFinding): string =>
  joined([
    phrases.countedWalks(cell.walks),
    cell.medianBy === 'own spread' ? phrases.byItsOwnSpread : undefined,
    outingText(cell.outings),
    scaleText(cell.scale),
  ]);

/** What a ratio rests on: "5 and 6 walks, 5 pairs side by side". */
export const ratioBasis = ({
  walks,
  basis,
  method,
  forTheseSetUps,
  spreadsInDoubt,
  scale,
}: RatioFinding): string =>
  joined([
    phrases.and(walks[0], phrases.countedWalks(walks[1])),
    basis,
    method === 'welch' ? phrases.eachWithItsOwnSpreadWelch : undefined,
    spreadsInDoubt ? phrases.oneSpreadForBothThoughFew : undefined,
    forTheseSetUps ? 'for these set-ups: their repeat was not tested' : undefined,
    scaleText(scale),
  ]);
