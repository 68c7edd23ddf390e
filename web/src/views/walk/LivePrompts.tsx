import { SCRIPT_TEXT, scriptStep } from '@urvek/core';
import { useEffect } from 'react';
import { Length } from '../../components/Length.tsx';
import { say } from './device.ts';
import type { Live } from './useLive.ts';
import * as phrases from './phrases.ts';

/** What to do next, in words on the screen and spoken where one wants it. */
export function LivePrompts({ live: { log, where, options, subject } }: { live: Live }) {
  const { due, mind } = where;
  const { checkpoints = [], hazardsAt = [] } = subject?.path ?? {};
  const mayCome = options.guided || checkpoints.length + hazardsAt.length > 0;
  const minded = mind.map((h) => h.what).join(', ');
  const step = options.guided ? scriptStep(log) : undefined;
  const dueName = due?.name;
  useEffect(() => {
    if (options.speak && dueName !== undefined) say(phrases.markNow(dueName));
  }, [options.speak, dueName]);
  useEffect(() => {
    if (options.speak && step) say(SCRIPT_TEXT[step]);
  }, [options.speak, step]);
  useEffect(() => {
    if (options.speak && minded !== '') say(phrases.mind3(minded));
  }, [options.speak, minded]);
  return (
    // One line is kept for them where any may come: the keys below it, on a phone, stay where they are.
    <div className={mayCome ? 'min-h-6' : ''}>
      {mind.map((h) => (
        <p key={h.what + h.atM} role="status" className="border-l-4 border-lost pl-3 font-bold" data-mind>
          {phrases.mindAt(h.what)}
          <Length m={h.atM} />
        </p>
      ))}
      {step && (
        <p role="status" className="border-l-4 border-accent pl-3" data-step={step}>
          <strong>{step}:</strong> {SCRIPT_TEXT[step]}
        </p>
      )}
      {/* The mark key says it too. */}
      {due && mind.length === 0 && !step && (
        <p role="status" className="border-l-4 border-accent pl-3 font-bold">
          {phrases.markNow2(due.name)}
          <Length m={due.atM} />)
        </p>
      )}
    </div>
  );
}
