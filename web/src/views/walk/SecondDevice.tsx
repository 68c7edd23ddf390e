import { useQuery } from '@tanstack/react-query';
import { joinCode } from '@urvek/contract';
import { base } from '../../api/client.ts';
import { QrCode } from '../../components/QrCode.tsx';

const LOOPBACK = /^(127\.|\[?::1\]?$|localhost$)/;

/** Addresses at which other devices reach this base; undefined until they are known, empty where there are none. */
function useReachableOrigins(): readonly string[] | undefined {
  const here = !LOOPBACK.test(window.location.hostname);
  const { data, isError } = useQuery({ queryKey: ['lan'], queryFn: base.lan, enabled: !here });
  if (here) return [window.location.origin];
  if (isError) return [];
  return data?.addresses.map((a) => new URL(a).origin);
}

/**
 * How a second device joins: a code to type, a picture to scan, and a moment to share where there is no
 * network.
 */
export function SecondDevice({
  walkId,
  shared,
  onShared,
  onClose,
}: {
  walkId: string;
  shared: number;
  onShared: () => void;
  onClose: () => void;
}) {
  const code = joinCode(walkId);
  const origins = useReachableOrigins();
  const [origin] = origins ?? [];
  const address = origin === undefined ? undefined : `${origin}/join/${code}`;
  return (
    <section className="sheet grid gap-3 p-3 sm:grid-cols-[auto_1fr]" aria-label="Second device">
      {address === undefined ? (
        <span />
      ) : (
        <QrCode address={address} what={`A picture of the address ${address}, to scan`} />
      )}
      <div>
        {origins?.length === 0 ? (
          <p>
            This Urvek serves this machine only. For another device stop it, start it with{' '}
            <code>npm start -- --lan</code>, and pair the device under Devices; a browser on this machine
            opens <strong className="break-all">{window.location.origin}/join</strong>. Type
          </p>
        ) : (
          <p>
            On the other device, which is paired, open{' '}
            <strong className="break-all">{(origins ?? []).map((o) => `${o}/join`).join(' or ')}</strong> and
            type
          </p>
        )}
        <p className="figure text-3xl font-bold tracking-widest" data-join-code={code}>
          {code}
        </p>
        <p className="text-[0.87rem] text-faint">
          It logs what is received at its end. Clocks are compared through the base; with no network, press
          here and there at one count, at the start and at the end.
        </p>
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="pressable px-4" onClick={onShared}>
            Shared moment {shared + 1}: press at the count
          </button>
          <button type="button" className="btn" onClick={onClose}>
            Close
          </button>
        </div>
      </div>
    </section>
  );
}
