import { useContext, useEffect, useRef } from 'react';
import { ReturnFocus } from '../../components/ReturnFocus.tsx';
import { Press } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';
import { actionOf, Letters } from './keyLetters.ts';
import * as phrases from './phrases.ts';

const TYPED_IN = 'input, textarea, select';
const CONTROL = `${TYPED_IN}, a[href], button, summary, [contenteditable]`;

/**
 * Single keys act while nothing has the focus, or something of the log: never when another control has it, or when
 * something is typed (WCAG 2.1.4).
 */
const mayAct = (at: EventTarget | null): boolean =>
  !(at instanceof Element) || (at.closest('[data-log]') ? !at.matches(TYPED_IN) : !at.closest(CONTROL));

/** Keys for everything, as somebody has given them out. */
export function Keys({ actions }: { actions: Actions }) {
  const letters = useContext(Letters);
  const current = useRef({ actions, letters });
  useEffect(() => {
    current.current = { actions, letters };
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!mayAct(event.target) || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const { actions, letters } = current.current;
      const pressed = event.key.toLowerCase();
      const action = actions[letters ? (actionOf(letters, pressed) ?? '') : pressed];
      if (!action) return;
      event.preventDefault();
      action(event.timeStamp);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return null;
}

export function Ask<T extends string>({
  title,
  choices,
  onChoose,
  onCancel,
}: {
  title: string;
  choices: readonly T[];
  onChoose: (choice: T) => void;
  onCancel: () => void;
}) {
  const keys: Record<string, () => void> = {
    ...Object.fromEntries(choices.map((c, i) => [String(i + 1), () => onChoose(c)])),
    escape: onCancel,
  };
  return (
    <ReturnFocus label={title}>
      <div className="grid grid-cols-2 content-start gap-2" data-log>
        <Keys actions={keys} />
        <h2 className="col-span-2">{title}</h2>
        {choices.map((choice, i) => (
          <Press key={choice} k={String(i + 1)} actions={keys}>
            {choice}
          </Press>
        ))}
        <Press k="escape" actions={keys}>
          {phrases.cancel}
        </Press>
      </div>
    </ReturnFocus>
  );
}
