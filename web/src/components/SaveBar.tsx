import { Conflict } from './Conflict.tsx';
import { Trouble } from './States.tsx';
import type { SetupBar } from './useSetupForm.ts';
import * as phrases from './phrases.ts';

/** Stands at the foot of a stage that has unsaved changes. */
export function SaveBar({
  what,
  dirty,
  saving,
  error,
  conflict,
  onSave,
  onDiscard,
}: SetupBar & { what: string }) {
  if (!dirty && !error && !conflict) return null;
  return (
    <div className="no-print sticky bottom-0 z-10 mt-4 border-t-2 border-ink bg-sheet px-4 py-2">
      {error && <Trouble error={error} />}
      {conflict ? (
        <Conflict {...conflict} onDiscard={onDiscard} />
      ) : (
        <div className="flex items-center gap-3">
          <button type="button" className="btn btn-main" disabled={saving} onClick={onSave}>
            {phrases.save(what)}
          </button>
          <button type="button" className="btn" onClick={onDiscard}>
            {phrases.discardChanges}
          </button>
          <span className="text-faint">{phrases.notSavedYet}</span>
        </div>
      )}
    </div>
  );
}
