import type { Problem } from '@yellow-cell/contract';
import { hasEqualSlack, thicknessOf, withDividerAt, withEqualSlack, withThickness } from '@yellow-cell/core';
import { Fragment } from 'react';
import { LengthField } from '../parts/LengthField.tsx';
import type { DraftDesk } from './useDraft.ts';

/** The dividers' thickness and places, to type. */
export function DividerFields({ desk, problems }: { desk: DraftDesk; problems: readonly Problem[] }) {
  const { content } = desk.draft;
  if (content.boards.length === 0) return null;
  return (
    <>
      <h2 className="eyebrow">Dividers</h2>
      <div className="grid grid-cols-2 gap-x-3">
        <LengthField
          label="Thickness"
          value={thicknessOf(content)}
          onChange={(thickness) => desk.edit((now) => withThickness(now, thickness))}
        />
        {content.grooves.map((groove, index) => {
          const board = content.boards.find((each) => each.groove === groove.id);
          const problem = problems.find(({ path }) => path === `grooves.${index}.at`)?.sentence;
          return (
            <Fragment key={groove.id}>
              {board && (
                <LengthField
                  label={`No. ${index + 1} from the left wall`}
                  value={groove.at}
                  problem={problem}
                  onChange={(at) => desk.edit((now) => withDividerAt(now, board.id, at))}
                />
              )}
            </Fragment>
          );
        })}
      </div>
      <button
        type="button"
        className="button"
        disabled={hasEqualSlack(content)}
        onClick={() => desk.edit(withEqualSlack)}
      >
        {hasEqualSlack(content) ? 'All have the same slack' : 'Give all the same slack'}
      </button>
    </>
  );
}
