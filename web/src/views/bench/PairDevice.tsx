import { useMutation } from '@tanstack/react-query';
import type { DeviceRole, LanState, PairingOffer } from '@urvek/contract';
import { format } from 'date-fns';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { QrCode } from '../../components/QrCode.tsx';
import { Trouble } from '../../components/States.tsx';
import { MAY } from './deviceRoles.ts';
import * as phrases from './phrases.ts';

/** How a phone is paired, step by step, and the code that it needs. */
export function PairDevice({ lan: data }: { lan: LanState }) {
  const [offer, setOffer] = useState<PairingOffer>();
  const [role, setRole] = useState<DeviceRole>('logger');
  const make = useMutation({ mutationFn: base.offer, onSuccess: setOffer });
  return (
    <section className="sheet grid content-start gap-3 p-4" aria-label={phrases.pairADevice}>
      <h2>{phrases.pairADevice}</h2>
      {(data.changed.got.length > 0 || data.changed.lost.length > 0) && (
        <p role="status" className="border-l-4 border-degraded pl-3">
          {phrases.theAddressesOfThisMachineHave}
          {data.changed.got.length > 0 && phrases.itHasNow(data.changed.got.join(', '))}
          {data.changed.lost.length > 0 && phrases.isGone(data.changed.lost.join(', '))}
          {phrases.stopUrvekAndStartItAgain}
        </p>
      )}
      {data.freshAuthority && (
        <p className="border-l-4 border-degraded pl-3">{phrases.thisMachineHasANewAuthority}</p>
      )}
      <ol className="list-decimal pl-5">
        <li>
          {phrases.installTheAuthorityOnThePhone}
          <a className="underline" href="/api/lan/authority.crt" download>
            {phrases.urvekAuthorityCrt}
          </a>
          {phrases.thePairingPageOffersItToo}
        </li>
        <li>{phrases.chooseWhatTheDeviceMayDo}</li>
        <li>
          {phrases.scanThePictureWithThePhone}
          {data.addresses.map((a) => (
            <strong key={a} className="break-all">
              {phrases.pair(a)}
            </strong>
          ))}
          {phrases.andTypeTheCode}
        </li>
      </ol>
      <div className="flex flex-wrap items-center gap-3">
        <label className="flex items-center gap-2 whitespace-nowrap">
          {phrases.itMay}
          <select className="input" value={role} onChange={(e) => setRole(e.target.value as DeviceRole)}>
            {Object.entries(MAY).map(([value, text]) => (
              <option key={value} value={value}>
                {text}
              </option>
            ))}
          </select>
        </label>
        <button className="btn btn-main" onClick={() => make.mutate(role)}>
          {phrases.makeACode}
        </button>
      </div>
      {make.error && <Trouble error={make.error} />}
      {offer && (
        <div className="flex flex-wrap items-center gap-4">
          {offer.links.map((link) => (
            <QrCode
              key={link}
              address={link}
              what={phrases.aPictureOfThePairingAddress(new URL(link).host)}
              size={190}
            />
          ))}
          <p>
            <span className="figure block text-3xl font-bold tracking-widest" data-pairing-code={offer.code}>
              {offer.code}
            </span>
            {phrases.until(format(offer.untilMs, 'HH:mm'))}
          </p>
        </div>
      )}
    </section>
  );
}
