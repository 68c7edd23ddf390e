import { walkClockThere, type WalkClockThere, type WalkEvent } from '@urvek/core';
import { useQuery } from '@tanstack/react-query';
import { fieldLog } from '../field/fieldLog.ts';
import { base } from './client.ts';

/** Clocks are compared this often; nothing is known anew before. */
const ASK_MS = 30_000;
/** While it is not known. */
const SEEK_MS = 3000;

/**
 * The clock of a walk that another device began, as this one knows it that joined: where both have compared theirs, or
 * pressed at a shared moment. Undefined while it is not known, and for a walk of this device's own.
 */
export function useWalkClock(walkId: string | undefined): WalkClockThere | undefined {
  const { data } = useQuery({
    queryKey: ['walk clock', walkId],
    enabled: walkId !== undefined,
    refetchInterval: ({ state }) => (state.data && known(state.data) ? ASK_MS : SEEK_MS),
    queryFn: async () => {
      const theirs = await fieldLog.logOf(walkId as string);
      const [first] = theirs;
      return { theirs, own: first ? await base.clockOf(walkId as string, first.deviceId) : [] };
    },
  });
  return data && known(data);
}

interface Logs {
  readonly theirs: readonly WalkEvent[];
  readonly own: readonly WalkEvent[];
}

function known({ theirs, own }: Logs): WalkClockThere | undefined {
  const clock = walkClockThere(theirs, own);
  return clock?.by === 'clocks compared' || clock?.by === 'shared moment' ? clock : undefined;
}
