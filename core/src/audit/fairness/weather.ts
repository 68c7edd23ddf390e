import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Rain, and wet ground. */
export const weather: AuditRule = {
  id: 'weather',
  title: phrases.weatherDiffered,
  find: (of) =>
    apart(
      of,
      (p) =>
        stated(p.walks, (w) =>
          w.conditions.weather === undefined
            ? undefined
            : `${w.conditions.weather}${w.conditions.groundWet ? phrases.groundWet : ''}`,
        ),
      (a, b) => phrases.weather(a, b),
      { size: NOT_KNOWN, mend: phrases.walkBothAgainInTurnOn },
    ),
};
