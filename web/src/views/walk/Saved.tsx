import * as phrases from './phrases.ts';

/** Said when an event is on disk, with how long that took. */
export const Saved = ({ saved }: { saved: { what: string; ms: number } | undefined }) =>
  saved ? (
    <p className="text-[0.87rem]" data-saved-ms={saved.ms.toFixed(1)}>
      <span className="hidden sm:inline">{phrases.kept}</span>✓
    </p>
  ) : null;
