import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';

/** Rain, and wet ground. */
export const weather: AuditRule = {
  id: 'weather',
  title: 'Weather differed',
  find: (of) =>
    apart(
      of,
      (p) =>
        stated(p.walks, (w) =>
          w.conditions.weather === undefined
            ? undefined
            : `${w.conditions.weather}${w.conditions.groundWet ? ', ground wet' : ''}`,
        ),
      (a, b) => `Weather: ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Walk both again in turn on one day.' },
    ),
};
