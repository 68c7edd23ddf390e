import type { WalkFile } from '@urvek/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { base, Refused } from '../../api/client.ts';
import { FilePick } from '../../components/FilePick.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import * as phrases from './phrases.ts';

const IMPORT_LIMIT_BYTES = 64_000_000;
/** Ten hours of a wheel that is read every second are 9 MB. */
const WALK_LIMIT_BYTES = 30_000_000;

/**
 * A whole comparison from a file of another Urvek, or of this one's past: all of it is taken in, or nothing.
 */
export function ImportWhole() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const take = useMutation({
    mutationFn: base.importWhole,
    onSuccess: (comparison) => {
      void client.invalidateQueries({ queryKey: ['comparisons'] });
      void navigate(`/c/${comparison.id}/ranges`);
    },
  });
  const tell = useNotice();
  const takeWalk = async (file: WalkFile): Promise<void> => {
    // A walk of a comparison that is not here is filed anew.
    const strange =
      file.header !== undefined &&
      file.header.comparisonId !== UNFILED &&
      (await base.comparison(file.header.comparisonId).then(
        () => false,
        (error: unknown) => error instanceof Refused && error.status === 404,
      ));
    const taken = await fieldLog.takeIn(strange ? { ...file, header: undefined } : file);
    tell({ text: taken === 0 ? phrases.allOfThatWalkIsHere : phrases.entriesTakenIn(taken) });
    const kept = await fieldLog.walks.get(file.walkId);
    void sync();
    if (kept)
      await navigate(
        kept.comparisonId === UNFILED ? `/file/${kept.id}` : `/c/${kept.comparisonId}/trace/${kept.id}`,
      );
  };
  return (
    <section className="mt-2 grid gap-2" aria-label={phrases.importAComparison}>
      <FilePick
        label={phrases.importAComparison}
        hint={phrases.importAWholeComparisonAFile}
        accept=".json,application/json"
        kind="comparison"
        limitBytes={IMPORT_LIMIT_BYTES}
        kept={phrases.nothingWasStoredChooseAnotherFile}
        take={(text) => take.mutate(text)}
      />
      <FilePick
        label={phrases.importAWalk}
        hint={phrases.importAWalkThatWasSaved}
        accept=".json,application/json"
        kind="walk"
        limitBytes={WALK_LIMIT_BYTES}
        kept={phrases.nothingWasChangedChooseAnotherFile}
        take={(file) => void takeWalk(file)}
      />
      {take.isPending && (
        <p role="status" className="text-faint">
          {phrases.readingTheComparison}
        </p>
      )}
      {take.error && <Trouble error={take.error} />}
    </section>
  );
}
