import { Interference } from './Interference.tsx';
import { Survey } from './Survey.tsx';
import type { SetupForm } from './onAirParts.tsx';
import * as phrases from './phrases.ts';

/** What else is on the air, and what a source of interference does on a cable. */
export function OnAir({ form }: { form: SetupForm }) {
  return (
    <details className="sheet mt-4 p-4" aria-label={phrases.onTheAir}>
      <summary className="cursor-pointer font-head text-base font-bold">
        {phrases.onTheAirSurveyAndInterference}
      </summary>
      <div className="mt-2 grid gap-6 lg:grid-cols-2">
        <Survey form={form} />
        <Interference form={form} />
      </div>
    </details>
  );
}
