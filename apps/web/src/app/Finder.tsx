import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { keepPreviousData, useQuery, useSuspenseQuery } from '@tanstack/react-query';
import type { Found as FoundThing } from '@yellow-cell/contract';
import { type QuickAct, readQuickLine, warningsOf, withChoice } from '@yellow-cell/core';
import { useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useSilentSince } from './connection.ts';
import { FIND, findLabel } from './find.ts';
import { newId } from './ids.ts';
import { QuickAnswer } from './QuickAnswer.tsx';
import { designsQuery, searchQuery, yardsQuery } from './queries.ts';
import { type QuickYard, useQuickYardOnScreen } from './quickContext.ts';
import { type Draft, useLog } from './useLog.ts';

interface Found {
  key: string;
  name: string;
  what: string;
  path: string;
}

/** Finds boxes, stands, queens, rounds, designs and yards by name, and notes by their words; takes entries in short hand. */
export function Finder() {
  const [typed, setTyped] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const { search } = useLocation();
  const quick = useQuickYardOnScreen();
  const found = useFound(typed.trim(), quick);
  const answer = useMemo(
    () => (quick && typed.trim() !== '' ? readQuickLine(typed, quick.context, newId) : undefined),
    [typed, quick],
  );
  const warnings = useMemo(
    () =>
      quick && answer?.is === 'entry' ? answer.acts.flatMap((act) => warningsOf(quick.situation, act)) : [],
    [quick, answer],
  );
  const log = useLog();
  /** The entry is on this device before the line is cleared; where it is refused, what was typed comes back to be mended. */
  const keep = async (words: string, acts: readonly QuickAct[]) => {
    setTyped('');
    input.current?.blur();
    const delivery = await log(words, acts as readonly Draft[]);
    if (delivery.state === 'refused') setTyped((since) => since || typed);
  };
  const go = (target: Found | null) => {
    if (!target) return;
    setTyped('');
    input.current?.blur();
    const on = new URLSearchParams(search).get('on');
    navigate(on ? `${target.path}${target.path.includes('?') ? '&' : '?'}on=${on}` : target.path);
  };
  return (
    <Combobox value={null} onChange={go} immediate={false}>
      <div className="relative flex-1 sm:w-64 sm:flex-none">
        <ComboboxInput
          ref={input}
          autoFocus
          aria-label={findLabel}
          className="field pr-8"
          placeholder={FIND}
          autoComplete="off"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || answer?.is !== 'entry' || warnings.length > 0) return;
            event.preventDefault();
            event.stopPropagation();
            void keep(answer.words, answer.acts);
          }}
        />
        <kbd
          aria-hidden
          className="absolute right-2 top-1.5 rounded border border-hairline px-1.5 text-sm text-soft"
        >
          /
        </kbd>
        {typed.trim() !== '' && (
          <ComboboxOptions
            static
            className="absolute right-0 z-30 mt-1 w-full min-w-72 rounded-lg border border-hairline bg-slip py-1 shadow-xl"
          >
            {answer && answer.is !== 'search' && (
              <QuickAnswer
                answer={answer}
                warnings={warnings}
                onKeep={(words, acts) => void keep(words, acts)}
                onCancel={() => setTyped('')}
                onChoose={(choice) => answer.is === 'ask' && setTyped(withChoice(typed, answer, choice))}
              />
            )}
            {found.map((each) => (
              <ComboboxOption
                key={each.key}
                value={each}
                className="flex cursor-pointer justify-between gap-3 px-3 py-2 data-focus:bg-glow"
              >
                <strong className="min-w-0 truncate">{each.name}</strong>
                <span className="max-w-[55%] shrink-0 truncate text-soft">{each.what}</span>
              </ComboboxOption>
            ))}
            {found.length === 0 && (answer === undefined || answer.is === 'search') && (
              <p className="px-3 py-2 text-soft">Nothing is called “{typed.trim()}”.</p>
            )}
          </ComboboxOptions>
        )}
      </div>
    </Combobox>
  );
}

function useFound(typed: string, quick: QuickYard | undefined): Found[] {
  const { data: yards } = useSuspenseQuery(yardsQuery);
  const { data: designs = [] } = useQuery(designsQuery);
  const { data: told } = useQuery({ ...searchQuery(typed), placeholderData: keepPreviousData });
  const silent = useSilentSince() !== undefined;
  if (typed === '') return [];
  const fits = (name: string) => name.toLowerCase().includes(typed.toLowerCase());
  const here = silent && quick ? quick.context.boxes.filter(({ label }) => fits(label)) : [];
  return [
    ...here.map(
      ({ id, label }): Found => ({ key: id, name: label, what: 'as last seen', path: `?box=${id}` }),
    ),
    ...(silent ? [] : (told ?? [])).map(
      (each): Found => ({
        key: each.kind + each.id,
        name: each.title,
        what: [each.detail, yards.find(({ id }) => id === each.yard)?.name].filter(Boolean).join(' · '),
        path: pathOf(each),
      }),
    ),
    ...designs
      .filter(({ name }) => fits(name))
      .map(({ id, name }): Found => ({ key: id, name, what: 'design', path: `/bench/${id}` })),
    ...yards
      .filter(({ name }) => fits(name))
      .map(({ id, name }): Found => ({ key: id, name, what: 'yard', path: `/yard/${id}` })),
  ].slice(0, 14);
}

function pathOf({ kind, id, box, yard }: FoundThing): string {
  if (kind === 'queen') return `/queen/${id}`;
  if (kind === 'round') return '/rounds';
  return yard && box ? `/yard/${yard}?box=${box}` : '/yard';
}
