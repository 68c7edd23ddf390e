import { KnownPoints } from './KnownPoints.tsx';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

/** Gives a distance to checkpoints that walks have named, or takes them from elsewhere. */
export function KnownCheckpoints({
  form,
  index,
  named,
  onPlaced,
}: {
  form: SetupForm;
  index: number;
  /** Places that walks here name, and that have no distance. */
  named: readonly string[];
  /** One was added, and waits for its place. */
  onPlaced: (nth: number) => void;
}) {
  const at = `paths.${index}.checkpoints` as const;
  const rows = form.watch(at);
  const replace = (points: typeof rows): void => form.setValue(at, points, { shouldDirty: true });
  const open = named.filter((n) => !rows.some((c) => c.name.trim().toLowerCase() === n.toLowerCase()));
  return (
    <div className="grid gap-2">
      {open.length > 0 && (
        <div
          className="border-l-4 border-degraded pl-2"
          role="group"
          aria-label={phrases.namedOnWalksWithoutADistance}
        >
          <p>{phrases.namedOnWalksWithoutADistance2}</p>
          <p className="mt-1 flex flex-wrap gap-2">
            {open.map((name) => (
              <button
                key={name}
                type="button"
                className="btn"
                onClick={() => {
                  replace([...rows, { name, atM: undefined as unknown as number, method: 'map' }]);
                  onPlaced(rows.length);
                }}
              >
                {phrases.place(name)}
              </button>
            ))}
          </p>
        </div>
      )}
      <KnownPoints form={form} index={index} onPoints={(points) => replace([...rows, ...points])} />
    </div>
  );
}
