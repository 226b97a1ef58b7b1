/** A failure that is told to the user in one sentence, without a stack trace. */
export class Said extends Error {}

/** Runs a command's whole work; what goes wrong is said, and the exit code tells it too. */
export async function main(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    console.error(error instanceof Said ? `\n${error.message}` : error);
    process.exitCode = 1;
  }
}
