/** The browser has cleared its storage while a walk was made: what is saved of it, and what is not. */
export const ClearedUnder = () => (
  <p role="alert" className="mt-1 border-l-4 border-degraded bg-sheet p-2" data-cleared>
    <strong>The browser cleared what this device had kept.</strong> This walk was put back from this page and
    goes on. Walks on this device that had not reached the base are gone from it. Make room, and send this one
    or save it as a file before the page is closed.
  </p>
);
