import type { QuickAnswer as Answer, QuickAct, Warning } from '@yellow-cell/core';
import { ArrowRight, CircleHelp } from 'lucide-react';
import { Said } from '../parts/Said.tsx';
import { Warned } from '../yard/Warned.tsx';

interface QuickAnswerProps {
  answer: Exclude<Answer, { is: 'search' }>;
  onChoose: (line: string) => void;
  onKeep: (words: string, acts: readonly QuickAct[]) => void;
  /** What the entry would bring about; with any, it wants a reason. */
  warnings: readonly Warning[];
  onCancel: () => void;
}

/** What a typed line was understood as, before it is kept; or what must be asked first. */
export function QuickAnswer({ answer, warnings, onChoose, onKeep, onCancel }: QuickAnswerProps) {
  if (answer.is === 'entry' && warnings.length > 0)
    return (
      <div className="px-3 py-1">
        <strong>
          <Said>{answer.words}</Said>
        </strong>
        <Warned
          warnings={warnings}
          onKeep={async (reason) => onKeep(answer.words, withReason(answer.acts, reason))}
          onCancel={onCancel}
        />
      </div>
    );
  if (answer.is === 'entry')
    return <KeepIt words={answer.words} onKeep={() => onKeep(answer.words, answer.acts)} />;
  return <Question question={answer.question} choices={answer.choices} onChoose={onChoose} />;
}

export function KeepIt({ words, onKeep }: { words: string; onKeep: () => void }) {
  return (
    <button
      type="button"
      className="button button-main m-2 min-h-12 w-[calc(100%-1rem)] text-left"
      onClick={onKeep}
    >
      <ArrowRight size={17} aria-hidden /> <Said>{words}</Said>
      <span className="ml-auto shrink-0 whitespace-nowrap text-sm font-normal">Enter keeps it</span>
    </button>
  );
}

interface QuestionProps {
  question: string;
  choices: readonly { says: string; line: string }[];
  onChoose: (line: string) => void;
}

export function Question({ question, choices, onChoose }: QuestionProps) {
  return (
    <div className="px-3 py-2">
      <p role="status" className="flex items-start gap-2">
        <CircleHelp size={17} className="mt-0.5 shrink-0" aria-hidden /> <Said>{question}</Said>
      </p>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {choices.map((choice) => (
          <button
            key={choice.line}
            type="button"
            className="button min-h-12 px-2 py-0.5 sm:min-h-9"
            onClick={() => onChoose(choice.line)}
          >
            {choice.says}
          </button>
        ))}
      </div>
    </div>
  );
}

/** The reason stays with every entry that it lets stand. */
const withReason = (acts: readonly QuickAct[], reason: string): QuickAct[] =>
  acts.map((act) => ({ ...act, note: act.note ? `${act.note} ${reason}` : reason }) as QuickAct);
