import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { base } from '../../api/client.ts';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { MAY } from './deviceRoles.ts';
import { PairDevice } from './PairDevice.tsx';
import { Trail } from './Trail.tsx';

/** Phones on the local network: paired by a code or a picture, listed, and revoked. */
export function Devices() {
  const { data, error } = useQuery({ queryKey: ['lan'], queryFn: base.lan, refetchInterval: 4000 });
  const client = useQueryClient();
  const revoke = useMutation({
    mutationFn: base.revoke,
    onSuccess: () => void client.invalidateQueries({ queryKey: ['lan'] }),
  });
  return (
    <Stage
      title="Devices"
      lead="A phone logs the walk, or listens at the other end, over the local network. Nothing is open there to a device that is not paired."
    >
      {error && <Trouble error={error} />}
      {!data && !error && <Loading what="the devices" />}
      {data?.addresses.length === 0 && (
        <Empty title="Urvek serves this machine only">
          To let phones on the local network take part, stop it and start it with{' '}
          <code>npm start -- --lan</code>.
        </Empty>
      )}
      {data && data.addresses.length > 0 && (
        <div className="grid gap-4 lg:grid-cols-2">
          <PairDevice lan={data} />
          <section className="sheet p-4" aria-label="Paired devices">
            <h2>Paired</h2>
            {data.devices.length === 0 && <p className="text-faint">None yet.</p>}
            <ul className="mt-1 grid gap-1">
              {data.devices.map((d) => (
                <li
                  key={d.id}
                  className="flex items-center gap-3 border-b border-rule py-1"
                  data-device={d.revoked ? 'revoked' : 'paired'}
                >
                  <span className="flex-1">
                    <strong>{d.name}</strong>
                    <span className="block text-[0.87rem] text-faint">
                      may {MAY[d.role]}; paired {format(d.pairedMs, 'd MMMM, HH:mm')}; last seen{' '}
                      {format(d.seenMs, 'd MMMM, HH:mm')}
                    </span>
                  </span>
                  {d.revoked ? (
                    <span className="text-faint">revoked</span>
                  ) : (
                    <button
                      className="btn"
                      aria-label={`Revoke ${d.name}`}
                      onClick={() => revoke.mutate(d.id)}
                    >
                      Revoke
                    </button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        </div>
      )}
      {data && (
        <div className="mt-4">
          <Trail trail={data.trail} />
        </div>
      )}
    </Stage>
  );
}
