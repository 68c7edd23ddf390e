const DAY_MS = 86_400_000;

/** A day by this device's zone. */
export const dayText = (ms: number): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(ms);

/** A time of day by this device's zone. */
export const clockText = (ms: number): string =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' }).format(ms);

/**
 * "10:05:12", or "10:05:12.4", of the day of some moment, by this device's zone; of the next day where it would be more
 * than half a day earlier. Undefined where it is no time of day.
 */
export function clockMs(text: string, nearMs: number): number | undefined {
  const match = /^(\d{1,2}):(\d\d):(\d\d(?:[.,]\d+)?)$/.exec(text.trim());
  if (!match) return undefined;
  const [hours, minutes, seconds] = [
    Number(match[1]),
    Number(match[2]),
    Number((match[3] as string).replace(',', '.')),
  ];
  if (hours > 23 || minutes > 59 || seconds >= 60) return undefined;
  const day = new Date(nearMs);
  day.setHours(hours, minutes, 0, 0);
  const ms = day.getTime() + 1000 * seconds;
  return ms < nearMs - DAY_MS / 2 ? ms + DAY_MS : ms;
}
