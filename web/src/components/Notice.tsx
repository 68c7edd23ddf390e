import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import * as phrases from './phrases.ts';

interface Notice {
  readonly text: string;
  readonly undo?: () => void;
}

const NoticeContext = createContext<(notice: Notice) => void>(() => {});

/** Says what was done, and offers to undo it. */
export const useNotice = () => useContext(NoticeContext);

export function NoticeArea({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice>();
  const show = useCallback((next: Notice) => setNotice(next), []);
  const context = useMemo(() => show, [show]);
  return (
    <NoticeContext.Provider value={context}>
      {children}
      <div role="status" aria-live="polite" className="no-print fixed right-4 bottom-4 z-20">
        {notice && (
          <div className="flex items-center gap-3 border-2 border-ink bg-sheet px-4 py-2 shadow-md">
            <span>{notice.text}</span>
            {notice.undo && (
              <button
                className="btn"
                onClick={() => {
                  notice.undo?.();
                  setNotice(undefined);
                }}
              >
                {phrases.undo}
              </button>
            )}
            <button
              className="btn btn-quiet"
              aria-label={phrases.closeThisMessage}
              onClick={() => setNotice(undefined)}
            >
              {phrases.close}
            </button>
          </div>
        )}
      </div>
    </NoticeContext.Provider>
  );
}
