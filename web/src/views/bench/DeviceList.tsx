import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { PairedDevice } from '@urvek/contract';
import { format } from 'date-fns';
import { base } from '../../api/client.ts';
import { MAY } from './deviceRoles.ts';

/** Who may come in beside this machine: paired devices and programs, until they are revoked. */
export function DeviceList({ devices }: { devices: readonly PairedDevice[] }) {
  const client = useQueryClient();
  const revoke = useMutation({
    mutationFn: base.revoke,
    onSuccess: () => void client.invalidateQueries({ queryKey: ['lan'] }),
  });
  return (
    <section className="sheet p-4" aria-label="Paired devices">
      <h2>Paired devices and programs</h2>
      {devices.length === 0 && <p className="text-faint">None yet.</p>}
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
                may {MAY[d.role]}; since {format(d.pairedMs, 'd MMMM, HH:mm')};{' '}
                {d.seenMs > d.pairedMs ? `last seen ${format(d.seenMs, 'd MMMM, HH:mm')}` : 'not seen since'}
              </span>
            </span>
            {d.revoked ? (
              <span className="text-faint">revoked</span>
            ) : (
              <button className="btn" aria-label={`Revoke ${d.name}`} onClick={() => revoke.mutate(d.id)}>
                Revoke
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
