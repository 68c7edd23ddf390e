import * as phrases from './phrases.ts';

/** Few are named, many are counted. */
const NAMED = 3;

/** Products or paths of a comparison: by name where they are few. */
export const EntryCount = ({ of, one }: { of: readonly string[]; one: string }) => (
  <span title={of.join(', ')}>
    {of.length === 0
      ? phrases.noYet(one)
      : of.length <= NAMED
        ? of.join(', ')
        : `${of.length} ${one}s: ${of.slice(0, NAMED).join(', ')} …`}
  </span>
);
