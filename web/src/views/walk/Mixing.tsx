import type { WalkRow } from '@urvek/study';
import { Ask } from './Ask.tsx';
import * as phrases from './phrases.ts';

type Gear = 'real' | 'simulated';

/** What real and simulated walks beside each other would mean; undefined where they do not meet. */
export function mixingOf(walks: readonly WalkRow[], gear: Gear): string | undefined {
  const counting = walks.filter((w) => w.endReason !== undefined && w.leftOut === undefined && !w.withheld);
  const [real, simulated] = [
    counting.filter((w) => !w.simulated).length,
    counting.filter((w) => w.simulated).length,
  ];
  if (gear === 'simulated' && real > 0) return phrases.walksWithRealGearASimulated(real);
  if (gear === 'real' && simulated > 0)
    return [phrases.walksWithSimulatedGear(simulated), phrases.onceARealOneIsFinished].join(' ');
  return undefined;
}

const WITH: Readonly<Record<Gear, string>> = {
  real: phrases.beginWithRealGear,
  simulated: phrases.rehearseWithSimulatedGear,
};

/** Asked before the first walk of the other sort begins. */
export const Mixing = ({
  meaning,
  onBegin,
  onCancel,
}: {
  meaning: string;
  onBegin: (gear: Gear) => void;
  onCancel: () => void;
}) => (
  <Ask
    title={meaning}
    choices={Object.values(WITH)}
    onChoose={(choice) => onBegin(choice === WITH.real ? 'real' : 'simulated')}
    onCancel={onCancel}
  />
);
