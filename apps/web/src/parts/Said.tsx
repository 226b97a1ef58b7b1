import { Children, Fragment, type ReactNode } from 'react';
import { useSay } from '../app/units.ts';

/** Words with figures in them, in the breeder's own measures; what is no text among them stays as it is. */
export function Said({ children }: { children: ReactNode }) {
  const say = useSay();
  return <>{saidOf(children, say)}</>;
}

/** Neighbouring texts are one sentence: “{kg} kg” is two of them to React. */
function saidOf(children: ReactNode, say: (text: string) => string): ReactNode[] {
  const said: ReactNode[] = [];
  let text = '';
  const put = (): void => {
    if (text !== '') said.push(say(text));
    text = '';
  };
  for (const child of Children.toArray(children)) {
    if (typeof child === 'string' || typeof child === 'number') {
      text += child;
      continue;
    }
    put();
    said.push(child);
  }
  put();
  // biome-ignore lint/suspicious/noArrayIndexKey: the pieces of one sentence keep their order
  return said.map((each, index) => <Fragment key={index}>{each}</Fragment>);
}
