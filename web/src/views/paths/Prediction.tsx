import type { SetupPath } from '@urvek/study';
import { Expected } from './Expected.tsx';
import type { OfKind } from './usePredicted.ts';
import { WhatIf } from './WhatIf.tsx';
import * as phrases from './phrases.ts';

/** What is expected of each rig in figures, what a change would be worth, and of whom nothing is expected. */
export const Prediction = ({
  path: { model },
  of: { predicted, without },
}: {
  path: SetupPath;
  of: OfKind;
}) => (
  <>
    {predicted.length > 0 && <Expected predicted={predicted} model={model} />}
    {predicted.length > 0 && <WhatIf predicted={predicted} model={model} />}
    {without.length > 0 && (
      <p className="text-[0.87rem] text-faint">
        {phrases.notPredictedEnterInKitThe(without.map((p) => p.name).join(', '))}
      </p>
    )}
  </>
);
