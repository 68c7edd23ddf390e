import { clockText } from '@urvek/core';
import type { Setup } from '@urvek/contract';
import { dayScene } from '@urvek/draw';
import { planDaylight, planTroubles, timedPlan } from '@urvek/study';
import { useMemo } from 'react';
import { Picture } from '../../components/Picture.tsx';
import { useWidth } from '../../components/Tape.tsx';
import { localMinutes } from '../../state/clock.ts';
import * as phrases from './phrases.ts';

const DAY_MIN = 24 * 60;

/** When one is home: the walks of the day to scale, the light, and who is where. */
export function DayLine({ setup }: { setup: Setup }) {
  const [place, width] = useWidth(320);
  const { times, sun, troubles } = useMemo(
    () => ({
      times: timedPlan(setup),
      sun: planDaylight(setup),
      troubles: planTroubles(setup, localMinutes).length,
    }),
    [setup],
  );
  const minutes = (ms: number | undefined): number | undefined =>
    ms === undefined ? undefined : localMinutes(ms);
  const day = dayScene(
    {
      times,
      sunriseMin: minutes(sun?.sunriseMs),
      sunsetMin: minutes(sun?.sunsetMs),
      hoursAtHand: setup.plan.hoursAtHand,
    },
    width,
  );
  const last = times.at(-1);
  if (!day || !last) return null;
  const days = Math.floor(last.toMin / DAY_MIN);
  const { atFixedEnd, atMobileEnd, secondChannel, hoursAtHand } = setup.plan;
  const said = [
    atFixedEnd && phrases.atTheFixedEnd(atFixedEnd),
    atMobileEnd && phrases.walking(atMobileEnd),
    secondChannel && phrases.secondChannel(secondChannel),
    hoursAtHand !== undefined && phrases.dashedHAvailable(hoursAtHand),
    troubles > 0 && phrases.toSettleInCanItBe(phrases.countedThings(troubles)),
  ].filter((t) => t !== false && t !== '');
  return (
    <section className="mt-2" aria-label={phrases.theDay}>
      <p className="flex flex-wrap gap-x-3">
        <strong>
          {phrases.homeAfter(clockText(last.toMin))}
          {days > 0 && phrases.ofDayWithoutARestMore(days + 1)}
        </strong>
        <span className="text-[0.87rem] text-faint">{said.join('; ')}</span>
      </p>
      <div ref={place}>
        <Picture scene={day} className="block" />
      </div>
    </section>
  );
}
