/** Told of how much was done, as a share; `wentOn`: of what was done before, which is gone on with. */
export type Told = (share: number, wentOn?: boolean) => void;

/** Progress is told this often, s of the recording. */
const TELL_EVERY_S = 2;

/** Tells how far work on a recording is, as a share, now and then. */
export function tellsNowAndThen(told: Told, seconds: number): (atS: number) => void {
  let toldS = 0;
  return (atS) => {
    if (atS - toldS > TELL_EVERY_S) told((toldS = atS) / seconds);
  };
}

/** Progress of one part of several, as a share of all. */
export const ofPart =
  (told: Told, part: number, parts: number): Told =>
  (share, wentOn) =>
    told((part + share) / parts, wentOn);
