import { useEffect } from 'react';

/** The whole page, head and tape too, as one walks: for the sun, and on a phone with room for the buttons. */
export function useWalkingLook(sun: boolean): void {
  useEffect(() => {
    document.documentElement.classList.toggle('sun', sun);
    return () => document.documentElement.classList.remove('sun');
  }, [sun]);
  useEffect(() => {
    document.body.dataset.walking = '';
    return () => {
      delete document.body.dataset.walking;
    };
  }, []);
}
