import { WALK_MODES, type WalkMode } from '@urvek/core';
import { Choice, Options } from '../../components/Field.tsx';

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
    <Choice label="How" value={mode} onChange={(e) => setMode(e.target.value as WalkMode)}>
      <Options of={WALK_MODES} />
    </Choice>
    <Choice
      label="Gear"
      value={gear}
      onChange={(e) => setGear(e.target.value === 'simulated' ? 'simulated' : 'real')}
    >
      <option value="simulated">simulated</option>
      <option value="real">real, on foot</option>
    </Choice>
  </div>
);
