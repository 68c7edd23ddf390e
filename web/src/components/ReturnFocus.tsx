import { useEffect, useRef, type ReactNode } from 'react';

/** What opens takes the focus, unless a field of it has it; when it closes, the focus goes back to where it was. */
export function ReturnFocus({ label, children }: { label: string; children: ReactNode }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const here = place.current;
    const before = document.activeElement;
    // A field that took it while it was drawn: who opened it is not known any more.
    const opener = before instanceof HTMLElement && !here?.contains(before) ? before : openedBy;
    if (!here?.contains(before)) here?.focus({ preventScroll: true });
    return () => {
      if (
        opener?.isConnected &&
        (document.activeElement === document.body || !document.activeElement?.isConnected)
      )
        opener.focus({ preventScroll: true });
    };
  }, []);
  return (
    <div ref={place} tabIndex={-1} role="group" aria-label={label} className="focus-visible:outline-none">
      {children}
    </div>
  );
}

/** The control that had the focus last, outside of what opens. */
let openedBy: HTMLElement | undefined;
document.addEventListener('focusout', ({ target }) => {
  openedBy = target instanceof HTMLElement ? target : undefined;
});
