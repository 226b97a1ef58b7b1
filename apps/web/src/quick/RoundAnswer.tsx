import type { RoundEntry, RoundLine } from '@yellow-cell/core';
import { KeepIt, Question } from './QuickAnswer.tsx';

interface RoundAnswerProps {
  line: RoundLine;
  onKeep: (words: string, entry: RoundEntry) => void;
  onChoose: (line: string) => void;
}

/** What a line of a round was understood as, before it is kept; or what must be asked first. */
export function RoundAnswer({ line, onKeep, onChoose }: RoundAnswerProps) {
  return line.is === 'entry' ? (
    <KeepIt words={line.words} onKeep={() => onKeep(line.words, line.entry)} />
  ) : (
    <Question question={line.question} choices={line.choices} onChoose={onChoose} />
  );
}
