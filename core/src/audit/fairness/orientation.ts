import { decibels, NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, stated, statedApart } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Loss through a body at 2.4 GHz and above, when it was not measured, dB (common practice). */
const BODY_DB = 20;
const BODY_FROM_MHZ = 2400;

/** Which way a device looks, and whether a body is between it and the other end. */
export const orientation: AuditRule = {
  id: 'orientation',
  title: phrases.orientationOrBodyPositionDiffers,
  find: (of) => [
    ...statedApart(of, (p) => stated(p.rigs, (r) => r.orientation)).map(({ pair, texts }) => ({
      products: idsOf(pair),
      what: phrases.orientation(pair[0].name, texts[0], pair[1].name, texts[1]),
      sizeDb: undefined,
      size: NOT_KNOWN,
      mend: phrases.turnBothAlikeATurnOn,
    })),
    ...statedApart(of, (p) => stated(p.rigs, (r) => r.bodyPosition)).map(({ pair, texts }) => {
      const [a, b] = pair.map((p) => middle(p.rigs, (r) => r.bodyLossDb));
      const db =
        a !== undefined && b !== undefined
          ? Math.abs(a - b)
          : Math.max(pair[0].bandMHz ?? 0, pair[1].bandMHz ?? 0) >= BODY_FROM_MHZ
            ? BODY_DB
            : undefined;
      return {
        products: idsOf(pair),
        what: phrases.body(pair[0].name, texts[0], pair[1].name, texts[1]),
        sizeDb: db,
        size: db === undefined ? NOT_KNOWN : phrases.upTo(decibels(db)),
        mend: phrases.carryBothInOnePlaceOr,
      };
    }),
  ],
};
