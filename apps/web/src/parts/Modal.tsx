import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';

export function Modal({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-ink/40" />
      <div className="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-[10vh]">
        <DialogPanel className="w-full max-w-lg rounded-xl border border-hairline bg-slip p-5 text-ink shadow-xl">
          <div className="mb-3 flex items-start justify-between gap-4">
            <DialogTitle as="h2" className="text-lg">
              {title}
            </DialogTitle>
            <button type="button" aria-label="Close" className="p-1" onClick={onClose}>
              <X size={20} aria-hidden />
            </button>
          </div>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
