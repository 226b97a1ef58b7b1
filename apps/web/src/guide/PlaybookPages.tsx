import type { PlaybookName } from '@yellow-cell/contract';
import { guidances, playbooks, slugOf } from '@yellow-cell/core';
import { Said } from '../parts/Said.tsx';

/** Every playbook with its steps, as they are led in a room. */
export function PlaybookPages() {
  return (
    <>
      <p className="mb-2">
        A playbook is begun in a room of a box, under “Step by step”. Its clocks are shown on every page.
      </p>
      {(Object.keys(playbooks) as PlaybookName[]).map((name) => {
        const { title, why, steps } = playbooks[name];
        return (
          <details key={name} className="border-t border-hairline py-2">
            <summary
              id={slugOf(title)}
              className="min-h-11 cursor-pointer py-2 font-semibold focus-visible:outline-2"
            >
              {title}
            </summary>
            <p className="text-soft">{why}</p>
            <ol className="list-decimal pl-6">
              {steps.map(({ id, title: step }) => {
                const guide = guidances[name].steps[id];
                return (
                  <li key={id} className="py-1">
                    <strong>{step}.</strong> <Said>{guide?.how ?? ''}</Said>
                    {guide?.where && <span className="block text-sm">Who is where: {guide.where}</span>}
                    <span className="block text-sm text-soft">Left out: {guide?.skipped}</span>
                  </li>
                );
              })}
            </ol>
          </details>
        );
      })}
    </>
  );
}
