import { joinCode } from '@urvek/contract';
import { QrCode } from '../../components/QrCode.tsx';

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
  const address = `${window.location.origin}/join/${code}`;
  return (
    <section className="sheet grid gap-3 p-3 sm:grid-cols-[auto_1fr]" aria-label="Second device">
      <QrCode address={address} what={`A picture of the address ${address}, to scan`} />
      <div>
        <p>
          On the other device open <strong className="break-all">{window.location.origin}/join</strong> and
          type
        </p>
        <p className="figure text-3xl font-bold tracking-widest" data-join-code={code}>
          {code}
        </p>
        <p className="text-[0.85rem] text-faint">
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
