import { type FormEvent, useState } from 'react';
import { draft, useLog } from '../app/useLog.ts';
import { TextField } from '../parts/Field.tsx';
import { useKeptText } from './useKeptText.ts';

/** A free note on a box or a colony. */
export function NoteForm({
  box,
  colony,
  title,
}: {
  box: string;
  colony?: string | undefined;
  title: string;
}) {
  const log = useLog();
  const [text, setText] = useKeptText(`note-${colony ?? box}`);
  const [problem, setProblem] = useState<string>();
  const save = async (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() === '') return;
    const delivery = await log(`Note on ${title}`, [
      draft('noted', colony ? { box, colony } : { box }, text),
    ]);
    if (delivery.state === 'refused') setProblem(delivery.problems[0]?.sentence);
    else setText('');
  };
  return (
    <form onSubmit={save} className="mt-3 flex items-end gap-2">
      <div className="flex-1">
        <TextField
          label="Note"
          value={text}
          maxLength={5_000}
          problem={problem}
          onChange={({ target }) => setText(target.value)}
        />
      </div>
      <button type="submit" className="button mb-2.5">
        Add
      </button>
    </form>
  );
}
