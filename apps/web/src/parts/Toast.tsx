import { X } from 'lucide-react';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { Said } from './Said.tsx';

export interface ToastMessage {
  text: string;
  undo?: (() => Promise<void>) | undefined;
}

interface ToastBoard {
  show(message: ToastMessage): void;
  /** The undo on offer, for the keyboard. */
  undo: (() => void) | undefined;
}

const Board = createContext<ToastBoard>({ show: () => undefined, undo: undefined });
const SHOWN_MS = 10_000;

/** One message at a time, at the foot of the screen; the last entry can be undone from it. */
export function ToastProvider({ children }: { children: ReactNode }) {
  const [message, setMessage] = useState<ToastMessage>();
  const undo = useMemo(() => {
    const back = message?.undo;
    if (!back) return undefined;
    return () => {
      setMessage(undefined);
      void back();
    };
  }, [message]);
  useEffect(() => {
    if (!message) return undefined;
    const timer = setTimeout(() => setMessage(undefined), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [message]);
  const show = useCallback((next: ToastMessage) => setMessage(next), []);
  const board = useMemo(() => ({ show, undo }), [show, undo]);
  return (
    <Board.Provider value={board}>
      {children}
      <div
        aria-live="polite"
        className="no-print pointer-events-none fixed inset-x-0 bottom-20 z-50 flex justify-center px-4 max-sm:top-16 max-sm:bottom-auto"
      >
        {message && (
          <div className="pointer-events-auto flex items-center gap-3 rounded-lg bg-ink px-4 py-2 text-paper shadow-lg">
            <span>
              <Said>{message.text}</Said>
            </span>
            {undo && (
              <button type="button" className="min-h-12 rounded px-3 font-bold underline" onClick={undo}>
                Undo
              </button>
            )}
            <button
              type="button"
              aria-label="Close this message"
              className="p-1"
              onClick={() => setMessage(undefined)}
            >
              <X size={16} aria-hidden />
            </button>
          </div>
        )}
      </div>
    </Board.Provider>
  );
}

export const useToast = (): ToastBoard['show'] => useContext(Board).show;
export const useUndo = (): ToastBoard['undo'] => useContext(Board).undo;
