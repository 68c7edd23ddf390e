import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Another channel has other neighbours on the air. */
export const channel: AuditRule = {
  id: 'channel',
  title: phrases.channelsDiffer,
  find: (of) =>
    apart(
      of,
      (p) => stated(p.rigs, (r) => r.channel),
      (a, b) => phrases.channel(a, b),
      { size: NOT_KNOWN, mend: phrases.setOneChannelOrSurveyBoth },
    ),
};
