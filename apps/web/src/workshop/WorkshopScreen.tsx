import { useState } from 'react';
import { ApiError } from '../app/api.ts';
import { useSay } from '../app/units.ts';
import { Notice } from '../parts/Notice.tsx';
import { useToast } from '../parts/Toast.tsx';
import { FittingPrices } from './FittingPrices.tsx';
import { PrinterFields } from './PrinterFields.tsx';
import { Register } from './Register.tsx';
import { StockTable } from './StockTable.tsx';
import { saveWorkshop, type WorkshopChange } from './saveWorkshop.ts';
import { useWorkshop } from './useWorkshop.ts';

/** What the shed has and pays: sheets at hand and to buy, prices, the printer, and the register of what lies ready. */
export function WorkshopScreen() {
  const say = useSay();
  const workshop = useWorkshop();
  const [problems, setProblems] = useState<readonly string[]>([]);
  const toast = useToast();
  const save = async (change: WorkshopChange, words: string): Promise<boolean> => {
    try {
      setProblems([]);
      const back = await saveWorkshop(change);
      toast({ text: words, undo: async () => void (await saveWorkshop(back)) });
      return true;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setProblems(error.details?.problems?.map(({ sentence }) => sentence) ?? [error.message]);
      return false;
    }
  };
  return (
    <main className="h-full overflow-y-auto px-5 py-4">
      <div className="mx-auto max-w-5xl">
        <h1 className="text-xl">Workshop</h1>
        <p className="max-w-2xl text-soft">
          Cut lists are laid on these sheets, pieces at hand first; costs come from these prices. The register
          below keeps what lies ready: spare parts, frames, feeders.
        </p>
        {problems.length > 0 && (
          <Notice kind="danger">
            {problems.map((sentence) => (
              <p key={sentence} role="alert">
                {say(sentence)}
              </p>
            ))}
          </Notice>
        )}
        <StockTable workshop={workshop} onSave={save} />
        <FittingPrices workshop={workshop} onSave={save} />
        <PrinterFields workshop={workshop} onSave={save} />
        <Register workshop={workshop} onSave={save} />
      </div>
    </main>
  );
}
