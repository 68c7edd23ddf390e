import { Dialog, DialogPanel } from '@headlessui/react';
import type { ReactNode } from 'react';
import { useAwake } from '../walk/device.ts';
import * as phrases from './phrases.ts';

/** All of the screen, white, kept awake; Escape or a press leaves it. */
export function FullScreen({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  useAwake();
  return (
    <Dialog open onClose={onClose} className="fixed inset-0 z-50">
      <DialogPanel className="flex h-full w-full flex-col bg-white text-black" aria-label={title}>
        <div className="min-h-0 flex-1">{children}</div>
        <button type="button" className="btn m-2 min-h-11 self-center" onClick={onClose}>
          {phrases.close}
        </button>
      </DialogPanel>
    </Dialog>
  );
}
