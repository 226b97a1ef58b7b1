import { slugOf } from '@yellow-cell/core';
import { Printer } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import words from '../../../../docs/guide/1-words.md?raw';
import boxes from '../../../../docs/guide/2-boxes.md?raw';
import building from '../../../../docs/guide/3-building.md?raw';
import calendar from '../../../../docs/guide/4-calendar.md?raw';
import rooms from '../../../../docs/guide/5-rooms.md?raw';
import winter from '../../../../docs/guide/6-winter.md?raw';
import record from '../../../../docs/guide/7-record.md?raw';
import schools from '../../../../docs/guide/8-schools.md?raw';
import cautions from '../../../../docs/guide/9-cautions.md?raw';
import { useSay } from '../app/units.ts';
import { TextField } from '../parts/Field.tsx';
import { FamilyPages } from './FamilyPages.tsx';
import { PlaybookPages } from './PlaybookPages.tsx';
import { RolePages } from './RolePages.tsx';
import { chapters } from './titles.ts';
import { useHeading } from './useHeading.ts';
import { Written } from './Written.tsx';

/** What is written, by its file; what the program knows itself is drawn from its own tables. */
const TEXTS: Readonly<Record<string, string>> = {
  '1-words': words,
  '2-boxes': boxes,
  '3-building': building,
  '4-calendar': calendar,
  '5-rooms': rooms,
  '6-winter': winter,
  '7-record': record,
  '8-schools': schools,
  '9-cautions': cautions,
};
const DRAWN: Readonly<Record<string, React.ReactNode>> = {
  'Boxes by what they are for': <FamilyPages />,
  'What a room serves as': <RolePages />,
  'Step by step': <PlaybookPages />,
};
const CHAPTERS = chapters.map((each) => {
  const text = 'file' in each ? TEXTS[each.file] : undefined;
  return {
    title: each.title,
    text,
    page: text === undefined ? DRAWN[each.title] : <InMeasures text={text} />,
  };
});

/** Figures in the breeder’s own measures. */
function InMeasures({ text }: { text: string }) {
  const say = useSay();
  return <Written text={say(text)} />;
}

/** The work in short, in the program's own words and drawings; read without a network, found by a word, printed. */
export function GuideScreen() {
  const page = useRef<HTMLElement>(null);
  const [wanted, setWanted] = useState('');
  useHeading(page);
  const found = useMemo(() => {
    const word = wanted.trim().toLowerCase();
    return word === ''
      ? CHAPTERS
      : CHAPTERS.filter(
          ({ title, text }) => text === undefined || `${title} ${text}`.toLowerCase().includes(word),
        );
  }, [wanted]);
  return (
    <main ref={page} className="h-full overflow-y-auto bg-sheet print:h-auto print:overflow-visible">
      <div className="mx-auto grid max-w-6xl gap-6 px-4 py-4 sm:px-5 lg:grid-cols-[15rem_1fr]">
        <nav aria-label="Chapters" className="no-print self-start lg:sticky lg:top-4">
          <h1 className="text-xl">Guide</h1>
          <TextField
            label="Chapters with the word"
            type="search"
            value={wanted}
            onChange={({ target }) => setWanted(target.value)}
          />
          <ul>
            {found.map(({ title }) => (
              <li key={title}>
                <Link className="flex min-h-11 items-center underline" to={`#${slugOf(title)}`}>
                  {title}
                </Link>
              </li>
            ))}
            <li>
              <Link className="flex min-h-11 items-center underline" to="/models">
                Models, and where their figures come from
              </Link>
            </li>
          </ul>
          <button type="button" className="button mt-2 min-h-11" onClick={() => window.print()}>
            <Printer size={17} aria-hidden /> Print
          </button>
        </nav>
        <div className="min-w-0 max-w-3xl">
          {found.map(({ title, text, page: chapter }) => (
            <section key={title} className="mb-8">
              {text === undefined && (
                <h2 id={slugOf(title)} tabIndex={-1} className="mb-2 text-xl">
                  {title}
                </h2>
              )}
              {chapter}
            </section>
          ))}
        </div>
      </div>
    </main>
  );
}
