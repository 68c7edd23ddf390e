import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';

/** An antenna inside a vehicle, or on a body, works through what is around it. */
export const antennaPlace: AuditRule = {
  id: 'antenna-place',
  title: 'Antennas stand in different places',
  find: (of) =>
    apart(
      of,
      (p) => stated(p.rigs, (r) => r.antennaPlace),
      (a, b) => `Antenna ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Put both antennas in one place, or test each in both.' },
    ),
};
