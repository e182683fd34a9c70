import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';
import { say } from '../words/say';

/** A sheet of paper laid over the page for one small piece of work. */
export function Sheet({
  title,
  open,
  close,
  wide = false,
  children,
}: {
  title: string;
  open: boolean;
  close: () => void;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Dialog open={open} onClose={close} className="relative z-30">
      <DialogBackdrop className="fixed inset-0 bg-black/45" />
      <div className="fixed inset-0 grid place-items-end overflow-y-auto sm:place-items-center">
        <DialogPanel className={`board max-h-dvh w-full overflow-y-auto p-5 shadow-xl ${wide ? 'max-w-3xl' : 'max-w-lg'}`}>
          <div className="mb-3 flex items-start justify-between gap-4">
            <DialogTitle as="h2">{title}</DialogTitle>
            <button className="trail min-h-11 px-2" onClick={close}>
              {say('Close')}
            </button>
          </div>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
