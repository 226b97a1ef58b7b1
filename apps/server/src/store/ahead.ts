/** A query that is asked before its answer is waited for: where something else fails first, its own failure is nobody's, and must not end the program. */
export function ahead<T>(asked: Promise<T>): Promise<T> {
  asked.catch(() => undefined);
  return asked;
}
