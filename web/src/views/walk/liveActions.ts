import { wheelReading } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';
import { logActions } from './logActions.ts';
import type { Live } from './useLive.ts';

/** What the keys of a walk under way do: as wherever one logs, and what wheel, posts and gear make of it. */
export function liveActions(live: Live): Actions {
  const { state, session, press, gear, where, ask } = live;
  const { tick } = gear;
  const byWheel = tick ? { reading: { ...wheelReading(tick), pressed: true } } : {};
  return {
    ...logActions({ state, now: session.expected, press, ask }),
    m: (inputMs) => {
      if (where.post) live.markPost(where.post, inputMs);
      else if (tick) press('mark', byWheel)(inputMs);
      else ask('mark');
    },
    s: (inputMs) => {
      if (state.standing) press('goOn', {})(inputMs);
      else press('mark', { stand: true, ...byWheel })(inputMs);
    },
    t: (inputMs) => {
      if (state.turned) return;
      press('turn', tick ? { reading: wheelReading(tick) } : {})(inputMs);
      gear.turn();
    },
    j: (inputMs) => {
      void (async () => {
        if (state.grade !== 1) await live.entries.add('dropoutBegin', {}, gear.walkS(inputMs), inputMs);
        await live.end('link failed');
      })();
    },
    u: live.entries.undo,
  };
}
