import { useQuery } from '@tanstack/react-query';
import { base } from '../../api/client.ts';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { DeviceList } from './DeviceList.tsx';
import { MakeKey } from './MakeKey.tsx';
import { PairDevice } from './PairDevice.tsx';
import { Trail } from './Trail.tsx';
import * as phrases from './phrases.ts';

/** Phones on the local network, paired by a code or a picture, and programs with a key of their own. */
export function Devices() {
  const { data, error } = useQuery({ queryKey: ['lan'], queryFn: base.lan, refetchInterval: 4000 });
  return (
    <Stage title={phrases.devices} lead={phrases.aPhoneLogsTheWalkOr}>
      {error && <Trouble error={error} />}
      {!data && !error && <Loading what={phrases.theDevices} />}
      {data?.addresses.length === 0 && (
        <Empty title={phrases.urvekServesThisMachineOnly}>
          {phrases.toLetPhonesOnTheLocal}
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
