import { text } from 'node:stream/consumers';
import { computeText } from './compute.ts';

/** `yc SUBJECT < question.json > answer.json`; exit 0, or 2 with the problems as JSON on standard error. */
const [subject = ''] = process.argv.slice(2);
const result = await computeText(subject, await text(process.stdin));
if (result.ok) {
  process.stdout.write(`${JSON.stringify(result.answer)}\n`);
} else {
  process.exitCode = 2;
  process.stderr.write(`${JSON.stringify({ problems: result.problems })}\n`);
}
