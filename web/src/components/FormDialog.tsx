import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';

/** A question with fields, over the page; Escape closes it. */
export const FormDialog = ({
  title,
  said,
  onClose,
  children,
}: {
  title: string;
  /** What becomes of what is entered. */
  said: string;
  onClose: () => void;
  children: ReactNode;
}) => (
  <Dialog open onClose={onClose} className="relative z-30">
    <div className="fixed inset-0 bg-ink/40" aria-hidden />
    <div className="fixed inset-0 overflow-y-auto">
      <div className="grid min-h-full place-items-center p-4">
        <DialogPanel className="sheet grid w-full max-w-md gap-3 border-2 border-ink p-5">
          <DialogTitle className="text-base font-bold">{title}</DialogTitle>
          <p className="text-faint">{said}</p>
          {children}
        </DialogPanel>
      </div>
    </div>
  </Dialog>
);
