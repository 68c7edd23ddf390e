import { useRef, useState } from 'react';

/** What is being written in a cell of the grid: Enter and Tab keep it and go on, Escape leaves it as it was. */
export function CellEditor({
  label,
  text,
  onCommit,
  onCancel,
}: {
  label: string;
  text: string;
  onCommit: (text: string, down: number, right: number) => void;
  onCancel: () => void;
}) {
  const [value, setValue] = useState(text);
  const done = useRef(false);
  const commit = (down: number, right: number): void => {
    if (done.current) return;
    done.current = true;
    onCommit(value, down, right);
  };
  return (
    <input
      // What is written goes where one has begun to write.
      ref={(input) => input?.focus()}
      aria-label={label}
      className="absolute inset-0 w-full bg-white px-1.5 outline-3 -outline-offset-3 outline-accent"
      value={value}
      onChange={(e) => setValue(e.target.value)}
      onBlur={() => commit(0, 0)}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === 'Enter') commit(e.shiftKey ? -1 : 1, 0);
        else if (e.key === 'Tab') {
          e.preventDefault();
          commit(0, e.shiftKey ? -1 : 1);
        } else if (e.key === 'Escape') {
          done.current = true;
          onCancel();
        }
      }}
    />
  );
}
