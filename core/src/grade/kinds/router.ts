import { COMMON_CHECKS } from './commonChecks.ts';
import type { Kind } from './kind.ts';

export const router: Kind = {
  id: 'router',
  name: 'Router or access point',
  watched: 'throughput',
  measured: ['throughput both ways', 'round-trip time and its variation', 'loss', 'level'],
  words: {
    5: 'at least 90 % of baseline',
    4: 'at least 50 %',
    3: 'at least 10 %',
    2: 'associated only',
    1: 'none',
  },
  testSignal: 'the same transfer both ways, after ten seconds to settle',
  claimCriterion: 'last usable',
  direction: 'fixed-to-mobile',
  judgedBy: 'figures',
  bothWays: true,
  checks: [
    { id: 'backhaul', text: 'Backhaul measured by cable: it does not cap the result' },
    ...COMMON_CHECKS,
  ],
};
