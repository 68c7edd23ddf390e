import { COMMON_CHECKS } from './commonChecks.ts';
import type { Kind } from './kind.ts';

export const videoLink: Kind = {
  id: 'video-link',
  name: 'Video link',
  watched: 'picture',
  measured: ['grade of the picture', 'dropouts', 'latency'],
  words: { 5: 'clean', 4: 'blocks', 3: 'usable', 2: 'frozen frames', 1: 'none' },
  testSignal: 'a running clock with tenths of a second and something that moves, in frame',
  claimCriterion: 'first dropout',
  direction: 'mobile-to-fixed',
  judgedBy: 'sense',
  bothWays: false,
  checks: [
    { id: 'plugs', text: 'Video cables seated and locked: the picture stays when they are touched' },
    ...COMMON_CHECKS,
  ],
};
