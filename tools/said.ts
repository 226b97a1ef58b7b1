/** A failure that is told to the user in one sentence, without a stack trace. */
export class Said extends Error {}

/** Runs a command's whole work; what goes wrong is said, and the exit code tells it too. */
export async function main(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const sentence = error instanceof Said || isSaid(error) ? (error as Error).message : sentenceOf(error);
    console.error(sentence ? `\n${sentence}` : error);
    process.exitCode = 1;
  }
}

/** What the program itself says no to, wherever it was said. */
const isSaid = (error: unknown): boolean =>
  error instanceof Error && ['ProblemsError', 'NotEmpty'].includes(error.name);

const MACHINE: Readonly<Record<string, string>> = {
  ENOSPC: 'The disk is full',
  EROFS: 'The folder is read-only',
  EACCES: 'This user may not write there',
  EPERM: 'This user may not do that',
  EMFILE: 'Too many files are open',
  EDQUOT: 'This user’s share of the disk is used up',
};
/** What the machine refuses, in a sentence with the place. */
function sentenceOf(error: unknown): string | undefined {
  const { code = '', path } = (error ?? {}) as NodeJS.ErrnoException;
  return (
    MACHINE[code] &&
    `${MACHINE[code]}${path ? `: ${path}` : ''}. Nothing was lost; make room or give another --data.`
  );
}
