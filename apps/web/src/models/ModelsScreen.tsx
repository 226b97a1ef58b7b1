import { useRef } from 'react';
import models from '../../../../docs/models.md?raw';
import { useHeading } from '../guide/useHeading.ts';
import { Written } from '../guide/Written.tsx';

/** What the program computes, and where its figures come from: the project's own document, as it stands. */
export function ModelsScreen() {
  const page = useRef<HTMLElement>(null);
  useHeading(page);
  return (
    <main ref={page} className="h-full overflow-y-auto bg-sheet">
      <div className="mx-auto max-w-3xl px-5 py-6">
        <Written text={models} />
      </div>
    </main>
  );
}
