import { keepPreviousData, useQuery, useSuspenseQuery } from '@tanstack/react-query';
import type { Found as FoundThing } from '@yellow-cell/contract';
import { playbooks, type QuickAct, readQuickLine, type Unread, warningsOf } from '@yellow-cell/core';
import { type Ref, type RefObject, useEffect, useImperativeHandle, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useSilentSince } from '../app/connection.ts';
import { newId } from '../app/ids.ts';
import { useAsOf } from '../app/now.ts';
import { designsQuery, searchQuery, yardsQuery } from '../app/queries.ts';
import { type Draft, useLog } from '../app/useLog.ts';
import { inGuide } from '../guide/titles.ts';
import { Chips } from './Chips.tsx';
import { draftsOf } from './draftsOf.ts';
import { QuickAnswer } from './QuickAnswer.tsx';
import { type QuickYard, useQuickYardOnScreen } from './quickContext.ts';
import { quickText, setQuickText } from './quickText.ts';
import { RoundAnswer } from './RoundAnswer.tsx';
import { roundDraft, useRoundLine } from './useRoundLine.ts';

export type Span = Pick<Unread, 'start' | 'end'>;
/** What the line's own keys do here. */
export interface PanelKeys {
  enter: () => void;
  move: (by: 1 | -1) => void;
}
interface QuickPanelProps {
  ref: Ref<PanelKeys>;
  typed: string;
  input: RefObject<HTMLInputElement | null>;
  /** True where Enter was pressed before this was loaded. */
  entered: RefObject<boolean>;
  onUnread: (spans: readonly Span[]) => void;
  onActive: (id: string | undefined) => void;
  onDone: () => void;
}
interface Found {
  key: string;
  name: string;
  what: string;
  path: string;
}
const NOTHING: readonly Span[] = [];

/** Finds boxes, stands, queens, rounds, designs and yards by name, and notes by their words; takes entries in short hand. */
export function QuickPanel({ ref, typed, input, entered, onUnread, onActive, onDone }: QuickPanelProps) {
  const navigate = useNavigate();
  const { search } = useLocation();
  const quick = useQuickYardOnScreen();
  const { zone } = useAsOf();
  const found = useFound(typed.trim(), quick);
  const [at, setAt] = useState(-1);
  const choices = useRef<HTMLDivElement>(null);
  const answer = useMemo(
    () => (quick ? readQuickLine(typed, quick.context, newId) : undefined),
    [typed, quick],
  );
  const warnings = useMemo(
    () =>
      quick && answer?.is === 'entry' ? answer.acts.flatMap((act) => warningsOf(quick.situation, act)) : [],
    [quick, answer],
  );
  const log = useLog();
  const ofRound = useRoundLine(typed);
  const unread = ofRound || answer === undefined || answer.is === 'search' ? NOTHING : answer.unread;
  useEffect(() => onUnread(unread), [unread, onUnread]);
  useEffect(() => onActive(found[at] ? `quick-found-${at}` : undefined), [found, at, onActive]);

  /** The entry is on this device before the line is cleared; where it is refused, what was typed comes back to be mended. */
  const keep = (words: string, acts: readonly QuickAct[]) => send(words, draftsOf(acts, zone));
  const send = async (words: string, drafts: readonly Draft[]): Promise<void> => {
    setQuickText('');
    onDone();
    const delivery = await log(words, drafts);
    if (delivery.state === 'refused' && quickText() === '') setQuickText(typed);
  };
  const go = ({ path }: Found): void => {
    setQuickText('');
    onDone();
    const on = new URLSearchParams(search).get('on');
    const [place = '', heading] = path.split('#');
    const dated = on ? `${place}${place.includes('?') ? '&' : '?'}on=${on}` : place;
    navigate(heading ? `${dated}#${heading}` : dated);
  };
  const enter = (): void => {
    const chosen = found[at];
    if (chosen) go(chosen);
    else if (ofRound?.is === 'entry') void send(ofRound.words, [roundDraft(ofRound.entry)]);
    else if (ofRound) choices.current?.querySelector<HTMLElement>('button')?.focus();
    else if (answer?.is === 'entry' && warnings.length === 0) void keep(answer.words, answer.acts);
    else if (answer !== undefined && answer.is !== 'search')
      choices.current?.querySelector<HTMLElement>('button, input')?.focus();
    else if (found[0]) go(found[0]);
  };
  useImperativeHandle(ref, () => ({
    enter,
    move: (by) => setAt((each) => Math.max(-1, Math.min(found.length - 1, each + by))),
  }));
  useEffect(() => {
    if (!entered.current) return;
    entered.current = false;
    enter();
  });
  const rewrite = (line: string): void => {
    setQuickText(line);
    input.current?.focus();
  };
  return (
    <div
      id="quick-panel"
      className="absolute left-0 z-30 mt-1 max-h-[75vh] w-[calc(100vw-1.5rem)] overflow-y-auto rounded-lg border border-hairline bg-slip py-1 shadow-xl sm:left-auto sm:right-0 sm:w-full sm:min-w-96"
    >
      {ofRound && (
        <div ref={choices}>
          <RoundAnswer
            line={ofRound}
            onKeep={(words, entry) => void send(words, [roundDraft(entry)])}
            onChoose={rewrite}
          />
        </div>
      )}
      {!ofRound && answer && answer.is !== 'search' && quick && (
        <div ref={choices}>
          <QuickAnswer
            answer={answer}
            warnings={warnings}
            onKeep={(words, acts) => void keep(words, acts)}
            onCancel={() => setQuickText('')}
            onChoose={rewrite}
          />
          <Chips line={typed} chips={answer.chips} context={quick.context} onChange={rewrite} />
        </div>
      )}
      <div role="listbox" aria-label="Found">
        {found.map((each, index) => (
          <div
            key={each.key}
            id={`quick-found-${index}`}
            role="option"
            tabIndex={-1}
            aria-selected={index === at}
            className={`flex min-h-12 cursor-pointer items-center justify-between gap-3 px-3 py-2 hover:bg-glow ${index === at ? 'bg-glow' : ''}`}
            onPointerDown={(event) => event.preventDefault()}
            onClick={() => go(each)}
            onKeyDown={({ key }) => key === 'Enter' && go(each)}
          >
            <strong className="min-w-0 truncate">{each.name}</strong>
            <span className="max-w-[55%] shrink-0 truncate text-soft">{each.what}</span>
          </div>
        ))}
      </div>
      {found.length === 0 && !ofRound && (answer === undefined || answer.is === 'search') && (
        <p className="px-3 py-2 text-soft" role="status">
          Nothing is called “{typed.trim()}”.
          {!quick &&
            ' What was done in boxes is entered here while a yard is on screen as it is today: in Yard and Winter.'}
        </p>
      )}
    </div>
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
    ...inGuide(fits, playbooks).map(({ name, path }): Found => ({ key: path, name, what: 'guide', path })),
  ].slice(0, 14);
}

function pathOf({ kind, id, box, yard }: FoundThing): string {
  if (kind === 'queen') return `/queen/${id}`;
  if (kind === 'round') return '/rounds';
  return yard && box ? `/yard/${yard}?box=${box}` : '/yard';
}
