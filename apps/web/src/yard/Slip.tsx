import { X } from 'lucide-react';
import type { ReactNode } from 'react';

/** The panel for the thing chosen: at the right, or on a phone rising from below. */
export function Slip({
  open,
  onClose,
  children,
}: {
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <aside
      aria-label="Slip"
      className={`no-print shrink-0 overflow-y-auto border-hairline bg-slip px-5 py-4 max-lg:border-t lg:block lg:h-full lg:w-[22rem] lg:border-l ${open ? 'max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-sm:bottom-14 max-lg:z-20 max-lg:max-h-[72vh] max-lg:rounded-t-2xl max-lg:border-t-2 max-lg:shadow-2xl' : 'max-lg:hidden'}`}
    >
      {open && (
        <button
          type="button"
          aria-label="Close the slip"
          title="Close (Esc)"
          className="float-right -mr-2 p-2"
          onClick={onClose}
        >
          <X size={20} aria-hidden />
        </button>
      )}
      {children}
    </aside>
  );
}
