import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { FilePick } from '../../components/FilePick.tsx';
import { Trouble } from '../../components/States.tsx';

const IMPORT_LIMIT_BYTES = 64_000_000;

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
  return (
    <section className="sheet grid gap-2 p-4" aria-label="Import a comparison">
      <h2>From a file</h2>
      <FilePick
        label="Import a comparison"
        hint="Import a whole comparison, a file ending in .urvek.json"
        accept=".json,application/json"
        kind="comparison"
        limitBytes={IMPORT_LIMIT_BYTES}
        kept="Nothing was stored; choose another file."
        take={(text) => take.mutate(text)}
      />
      {take.isPending && (
        <p role="status" className="text-faint">
          Reading the comparison …
        </p>
      )}
      {take.error && <Trouble error={take.error} />}
    </section>
  );
}
