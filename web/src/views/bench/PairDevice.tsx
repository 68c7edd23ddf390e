import { useMutation } from '@tanstack/react-query';
import type { DeviceRole, LanState, PairingOffer } from '@urvek/contract';
import { format } from 'date-fns';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { QrCode } from '../../components/QrCode.tsx';
import { Trouble } from '../../components/States.tsx';
import { MAY } from './deviceRoles.ts';

/** How a phone is paired, step by step, and the code that it needs. */
export function PairDevice({ lan: data }: { lan: LanState }) {
  const [offer, setOffer] = useState<PairingOffer>();
  const [role, setRole] = useState<DeviceRole>('logger');
  const make = useMutation({ mutationFn: base.offer, onSuccess: setOffer });
  return (
    <section className="sheet grid content-start gap-3 p-4" aria-label="Pair a device">
      <h2>Pair a device</h2>
      {(data.changed.got.length > 0 || data.changed.lost.length > 0) && (
        <p role="status" className="border-l-4 border-degraded pl-3">
          The addresses of this machine have changed since the start
          {data.changed.got.length > 0 && `: it has ${data.changed.got.join(', ')} now`}
          {data.changed.lost.length > 0 && `; ${data.changed.lost.join(', ')} is gone`}. Stop Urvek and start
          it again to be reached there. Devices keep what they log.
        </p>
      )}
      {data.freshAuthority && (
        <p className="border-l-4 border-degraded pl-3">
          This machine has a new authority, because it is the first start on the network or its addresses
          changed: phones install it again.
        </p>
      )}
      <ol className="list-decimal pl-5">
        <li>
          Install the authority on the phone, once:{' '}
          <a className="underline" href="/api/lan/authority.crt" download>
            urvek-authority.crt
          </a>
          . The pairing page offers it too, and says how on the usual systems. It can vouch for nothing but
          this machine’s own addresses.
        </li>
        <li>Choose what the device may do, and make a code. It works once, for five minutes.</li>
        <li>
          Scan the picture with the phone, or open{' '}
          {data.addresses.map((a) => (
            <strong key={a} className="break-all">
              {a}pair{' '}
            </strong>
          ))}{' '}
          and type the code.
        </li>
      </ol>
      <div className="flex flex-wrap items-center gap-3">
        <label className="flex items-center gap-2 whitespace-nowrap">
          It may
          <select className="input" value={role} onChange={(e) => setRole(e.target.value as DeviceRole)}>
            {Object.entries(MAY).map(([value, text]) => (
              <option key={value} value={value}>
                {text}
              </option>
            ))}
          </select>
        </label>
        <button className="btn btn-main" onClick={() => make.mutate(role)}>
          Make a code
        </button>
      </div>
      {make.error && <Trouble error={make.error} />}
      {offer && (
        <div className="flex flex-wrap items-center gap-4">
          {offer.links.map((link) => (
            <QrCode
              key={link}
              address={link}
              what={`A picture of the pairing address at ${new URL(link).host}`}
              size={190}
            />
          ))}
          <p>
            <span className="figure block text-3xl font-bold tracking-widest" data-pairing-code={offer.code}>
              {offer.code}
            </span>
            until {format(offer.untilMs, 'HH:mm')}
          </p>
        </div>
      )}
    </section>
  );
}
