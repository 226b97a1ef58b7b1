import { useEffect, useState } from 'react';

/** What is dragged asks once it rests this long. */
const SETTLE_MS = 120;

/** What was worked out last, and of what it was asked; both undefined until then. */
export interface Worked<Asked, Answer> {
  answer: Answer | undefined;
  of: Asked | undefined;
}

/** Something worked out beside the page of what is asked now; until that is done, what was worked out last. `work` must stay the same. */
export function useWorked<First, Second, Answer>(
  work: (first: First, second: Second) => Promise<Answer>,
  first: First,
  second: Second,
): Worked<readonly [First, Second], Answer> {
  const [found, setFound] = useState<Worked<readonly [First, Second], Answer>>({
    answer: undefined,
    of: undefined,
  });
  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(async () => {
      const answer = await work(first, second);
      if (wanted) setFound({ answer, of: [first, second] });
    }, SETTLE_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [work, first, second]);
  return found;
}
