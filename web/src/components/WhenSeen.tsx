import { useEffect, useRef, useState, type ReactNode } from 'react';

/** What costs much to draw is drawn when it comes near to what is seen, and stays. */
export function WhenSeen({ children, className }: { children: ReactNode; className?: string }) {
  const place = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(false);
  useEffect(() => {
    if (!place.current) return;
    const watch = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) setNear(true);
      },
      { rootMargin: '600px' },
    );
    watch.observe(place.current);
    return () => watch.disconnect();
  }, []);
  return (
    <div ref={place} className={`${near ? '' : 'min-h-64'} ${className ?? ''}`}>
      {near && children}
    </div>
  );
}
