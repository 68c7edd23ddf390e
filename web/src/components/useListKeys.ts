import { useRef, type KeyboardEvent, type RefObject } from 'react';

/** Arrow keys go from one line of a list to the next, which is selected and has the focus; lines carry `data-line`. */
export function useListKeys<E extends HTMLElement>(
  ids: readonly string[],
  onSelect: (id: string) => void,
): [RefObject<E | null>, (e: KeyboardEvent, at: number) => void] {
  const list = useRef<E>(null);
  const onKey = (e: KeyboardEvent, at: number): void => {
    const to = ids[at + ({ ArrowDown: 1, ArrowUp: -1 }[e.key] ?? NaN)];
    if (to === undefined) return;
    e.preventDefault();
    onSelect(to);
    list.current?.querySelector<HTMLElement>(`[data-line="${CSS.escape(to)}"]`)?.focus();
  };
  return [list, onKey];
}
