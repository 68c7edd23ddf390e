import { useEffect, useRef } from 'react';
import { Press } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';

/** Keys for everything; not while something is being typed or a modifier is held. */
export function Keys({ actions }: { actions: Actions }) {
  const current = useRef(actions);
  useEffect(() => {
    current.current = actions;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typing =
        (event.target instanceof HTMLInputElement && event.target.type !== 'checkbox') ||
        event.target instanceof HTMLTextAreaElement ||
        event.target instanceof HTMLSelectElement;
      if (typing || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const action = current.current[event.key.toLowerCase()];
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
    <div className="grid grid-cols-2 content-start gap-2" role="group" aria-label={title}>
      <Keys actions={keys} />
      <h2 className="col-span-2">{title}</h2>
      {choices.map((choice, i) => (
        <Press key={choice} k={String(i + 1)} actions={keys}>
          {choice}
        </Press>
      ))}
      <Press k="escape" actions={keys}>
        Cancel
      </Press>
    </div>
  );
}
