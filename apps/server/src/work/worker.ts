import { computeText } from '@yellow-cell/compute';
import type { Problem } from '@yellow-cell/contract';
import { type CalendarTask, calendarOf } from './calendar.ts';
import { type PaperTask, paperOf } from './paper.ts';

/** What the server gives to another thread, so that its own stays free for those who wait. */
export type Task =
  | { what: 'compute'; subject: string; question: string }
  | { what: 'calendar'; task: CalendarTask }
  | { what: 'paper'; task: PaperTask };

/** The answer as the text that is sent, so that the server's own thread need not make it. */
export type Answered = { ok: true; text: string } | { ok: false; problems: Problem[] };

export default async function work(task: Task): Promise<Answered | Uint8Array | string> {
  if (task.what === 'compute') return answerTo(task.subject, task.question);
  if (task.what === 'calendar') return calendarOf(task.task);
  return paperOf(task.task);
}

export async function answerTo(subject: string, question: string): Promise<Answered> {
  const result = await computeText(subject, question);
  return result.ok ? { ok: true, text: JSON.stringify(result.answer) } : result;
}
