import { SCRIPT_TEXT, scriptStep } from '@urvek/core';
import { useEffect } from 'react';
import { Length } from '../../components/Length.tsx';
import { say } from './device.ts';
import type { Live } from './useLive.ts';

/** What to do next, in words on the screen and spoken where one wants it. */
export function LivePrompts({ live: { log, where, options } }: { live: Live }) {
  const { due, mind } = where;
  const minded = mind.map((h) => h.what).join(', ');
  const step = options.guided ? scriptStep(log) : undefined;
  const dueName = due?.name;
  useEffect(() => {
    if (options.speak && dueName !== undefined) say(`mark ${dueName} now`);
  }, [options.speak, dueName]);
  useEffect(() => {
    if (options.speak && step) say(SCRIPT_TEXT[step]);
  }, [options.speak, step]);
  useEffect(() => {
    if (options.speak && minded !== '') say(`mind ${minded}`);
  }, [options.speak, minded]);
  return (
    <>
      {mind.map((h) => (
        <p
          key={h.what + h.atM}
          role="status"
          className="mt-1 border-l-4 border-lost pl-3 font-bold"
          data-mind
        >
          ! Mind {h.what}, at <Length m={h.atM} />
        </p>
      ))}
      {step && (
        <p role="status" className="mt-1 border-l-4 border-accent pl-3" data-step={step}>
          <strong>{step}:</strong> {SCRIPT_TEXT[step]}
        </p>
      )}
      {due && (
        <p role="status" className="mt-1 border-l-4 border-accent pl-3 font-bold">
          Mark {due.name} now (<Length m={due.atM} />)
        </p>
      )}
    </>
  );
}
