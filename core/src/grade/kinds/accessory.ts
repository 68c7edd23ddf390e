import { COMMON_CHECKS } from './commonChecks.ts';
import type { Kind } from './kind.ts';

/** An antenna, a booster, a relay: it changes a rig, and is judged by what the rig then does. */
export const accessory: Kind = {
  id: 'accessory',
  name: 'Antenna, booster or relay',
  watched: 'what the rig with it does',
  measured: ['grade with and without it'],
  words: { 5: 'clean', 4: 'first artefacts', 3: 'usable', 2: 'presence only', 1: 'nothing' },
  testSignal: 'that of the product it is fitted to, with and without it in turn',
  claimCriterion: 'last usable',
  direction: 'mobile-to-fixed',
  judgedBy: 'sense',
  bothWays: false,
  checks: [
    { id: 'fitted', text: 'Fitted as its maker says, and the rest of the rig unchanged' },
    { id: 'legal', text: 'Power and antenna gain within local rules; ask a licensed person when in doubt' },
    ...COMMON_CHECKS,
  ],
};
