import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { heardElsewhere, type HeardElsewhere, type Kind } from '@urvek/core';
import { base } from '../../api/client.ts';
import * as phrases from './phrases.ts';

/** So often the base is asked how it stands at the other end. */
const ASK_MS = 1000;
/** Without an answer for so long, what was said last is no longer how it is. */
const OLD_MS = 10_000;

/** What the other devices of a walk notice, as their entries reach the base: large, for whoever walks. */
export function OtherDevices({
  walkId,
  deviceId,
  words,
}: {
  walkId: string;
  /** Of this device. */
  deviceId: string;
  /** Of the grades of this kind of product. */
  words: Kind['words'];
}) {
  const { data, dataUpdatedAt, errorUpdatedAt } = useQuery({
    queryKey: ['noticed', walkId, deviceId],
    queryFn: () => base.noticed(walkId, deviceId),
    refetchInterval: ASK_MS,
    // It is looked at while one walks, whatever is in front.
    refetchIntervalInBackground: true,
    retry: false,
    select: heardElsewhere,
  });
  if (!data || data.length === 0) return null;
  const silent = errorUpdatedAt - dataUpdatedAt > OLD_MS;
  return (
    <ul className="mb-2 flex flex-wrap gap-2" aria-label={phrases.otherDevices} data-other-devices>
      {data.map((heard) => (
        <li
          key={heard.deviceId}
          className={
            'border-4 px-3 py-1 text-lg font-bold ' +
            (silent
              ? 'border-dashed border-rule text-faint'
              : heard.lost
                ? 'border-double border-lost text-lost'
                : 'border-clear')
          }
          data-heard={heard.lost ? 'lost' : 'through'}
        >
          <span className="text-[0.87rem] font-normal">
            {phrases.otherDeviceLastAt(
              silent ? phrases.baseOutOfReach : '',
              format(heard.sinceMs, 'HH:mm:ss'),
            )}
          </span>
          {saidOf(heard, words)}
        </li>
      ))}
    </ul>
  );
}

const saidOf = ({ lost, grade }: HeardElsewhere, words: Kind['words']): string =>
  lost ? phrases.lost : grade === undefined ? phrases.comesThrough : `${grade} ${words[grade]}`;
