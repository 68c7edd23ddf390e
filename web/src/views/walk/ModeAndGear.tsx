import { WALK_MODES, type WalkMode } from '@urvek/core';
import { Choice, Options } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

/** How the walk is logged, and whether the gear is real. */
export const ModeAndGear = ({
  mode,
  gear,
  onMode: setMode,
  onGear: setGear,
}: {
  mode: WalkMode;
  gear: 'real' | 'simulated';
  onMode: (mode: WalkMode) => void;
  onGear: (gear: 'real' | 'simulated') => void;
}) => (
  <div className="grid grid-cols-2 gap-3">
    <Choice label={phrases.how} value={mode} onChange={(e) => setMode(e.target.value as WalkMode)}>
      <Options of={WALK_MODES} />
    </Choice>
    <Choice
      label={phrases.gear}
      value={gear}
      onChange={(e) => setGear(e.target.value === 'simulated' ? 'simulated' : 'real')}
    >
      <option value="simulated">{phrases.simulated}</option>
      <option value="real">{phrases.realOnFoot}</option>
    </Choice>
  </div>
);
