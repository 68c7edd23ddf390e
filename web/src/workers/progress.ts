/** Progress is told this often, s of the recording. */
const TELL_EVERY_S = 2;

/** Tells how far work on a recording is, as a share, now and then. */
export function tellsNowAndThen(told: (share: number) => void, seconds: number): (atS: number) => void {
  let toldS = 0;
  return (atS) => {
    if (atS - toldS > TELL_EVERY_S) told((toldS = atS) / seconds);
  };
}
