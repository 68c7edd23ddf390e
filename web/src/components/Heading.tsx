import { useEffect, useRef, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import * as phrases from './phrases.ts';

/** The page as it was last headed: what is drawn again under the same head takes no focus. */
let headed: string | undefined;

/**
 * The head of a page: the document is called by it, and the focus comes to it when the page has changed, so that a
 * keyboard or a screen reader begins there. Not at the first page, which is read from its top.
 */
export function Heading({
  children,
  title,
  className,
}: {
  children: ReactNode;
  title: string;
  className?: string;
}) {
  const { pathname } = useLocation();
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    document.title = phrases.urvek2(title);
    const name = `${pathname} ${title}`;
    if (headed !== undefined && headed !== name && !isTyping()) head.current?.focus({ preventScroll: true });
    headed = name;
  }, [pathname, title]);
  return (
    <h1 ref={head} tabIndex={-1} className={className}>
      {children}
    </h1>
  );
}

/** Whoever types is not torn away. */
const isTyping = (): boolean =>
  document.activeElement?.matches('main input, main textarea, main select') ?? false;
