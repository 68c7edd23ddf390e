import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';

/** Another channel has other neighbours on the air. */
export const channel: AuditRule = {
  id: 'channel',
  title: 'Channels differ',
  find: (of) =>
    apart(
      of,
      (p) => stated(p.rigs, (r) => r.channel),
      (a, b) => `Channel: ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Set one channel, or survey both channels before and after.' },
    ),
};
