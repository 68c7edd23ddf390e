import * as phrases from './phrases.ts';
const SAID = { through: phrases.comesThrough, lost: phrases.lost, nothing: phrases.noSignalYet } as const;
const LOOKS = {
  through: 'border-clear',
  lost: 'border-double border-lost text-lost',
  nothing: 'border-dashed border-rule',
} as const;

/** Whether the signal comes through, in large: no signal yet, comes through, lost. */
export function ReceivedState({ lost, usual }: { lost: boolean; usual: number | undefined }) {
  const state = lost ? 'lost' : usual === undefined ? 'nothing' : 'through';
  return (
    <p
      role="status"
      data-received={state}
      className={`flex-1 border-4 sm:max-w-80 px-3 py-1 text-lg font-bold whitespace-nowrap ${LOOKS[state]}`}
    >
      {SAID[state]}
    </p>
  );
}
