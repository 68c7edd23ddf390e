import { useQuery } from '@tanstack/react-query';
import { base } from '../../api/client.ts';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { DeviceList } from './DeviceList.tsx';
import { MakeKey } from './MakeKey.tsx';
import { PairDevice } from './PairDevice.tsx';
import { Trail } from './Trail.tsx';

/** Phones on the local network, paired by a code or a picture, and programs with a key of their own. */
export function Devices() {
  const { data, error } = useQuery({ queryKey: ['lan'], queryFn: base.lan, refetchInterval: 4000 });
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
        <div>
          <PairDevice lan={data} />
        </div>
      )}
      {data && (
        <div className="mt-4 grid gap-4 lg:grid-cols-2">
          <DeviceList devices={data.devices} />
          <MakeKey />
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
