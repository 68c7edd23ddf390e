import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** An antenna inside a vehicle, or on a body, works through what is around it. */
export const antennaPlace: AuditRule = {
  id: 'antenna-place',
  title: phrases.antennasStandInDifferentPlaces,
  find: (of) =>
    apart(
      of,
      (p) => stated(p.rigs, (r) => r.antennaPlace),
      (a, b) => phrases.antenna(a, b),
      { size: NOT_KNOWN, mend: phrases.putBothAntennasInOnePlace },
    ),
};
