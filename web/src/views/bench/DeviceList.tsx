import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { PairedDevice } from '@urvek/contract';
import { format } from 'date-fns';
import { base } from '../../api/client.ts';
import { MAY } from './deviceRoles.ts';
import * as phrases from './phrases.ts';

/** Who may come in beside this machine: paired devices and programs, until they are revoked. */
export function DeviceList({ devices }: { devices: readonly PairedDevice[] }) {
  const client = useQueryClient();
  const revoke = useMutation({
    mutationFn: base.revoke,
    onSuccess: () => void client.invalidateQueries({ queryKey: ['lan'] }),
  });
  return (
    <section className="sheet p-4" aria-label={phrases.pairedDevices}>
      <h2>{phrases.pairedDevicesAndPrograms}</h2>
      {devices.length === 0 && <p className="text-faint">{phrases.noneYet}</p>}
      <ul className="mt-1 grid gap-1">
        {devices.map((d) => (
          <li
            key={d.id}
            className="flex items-center gap-3 border-b border-rule py-1"
            data-device={d.revoked ? 'revoked' : 'paired'}
          >
            <span className="flex-1">
              <strong>{d.name}</strong>
              <span className="block text-[0.87rem] text-faint">
                {phrases.maySince(
                  MAY[d.role],
                  format(d.pairedMs, 'd MMMM, HH:mm'),
                  d.seenMs > d.pairedMs
                    ? phrases.lastSeen(format(d.seenMs, 'd MMMM, HH:mm'))
                    : phrases.notSeenSince,
                )}
              </span>
            </span>
            {d.revoked ? (
              <span className="text-faint">{phrases.revoked}</span>
            ) : (
              <button className="btn" aria-label={phrases.revoke(d.name)} onClick={() => revoke.mutate(d.id)}>
                {phrases.revoke2}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
