import type { Store } from '../store/database.ts';
import { eventsAbout, lockLog, subjectsOfKind } from '../store/events.ts';
import { clearReadTables } from '../store/readTables.ts';
import { refresh } from './refresh.ts';

/** Recomputes every read table of the breeder from the log. Must give the rows that stood there. */
export async function rebuild(store: Store, breeder: string): Promise<{ boxes: number }> {
  await lockLog(store);
  const boxes = new Set(await subjectsOfKind(store, 'box'));
  const rounds = new Set(await subjectsOfKind(store, 'round'));
  const yards = await subjectsOfKind(store, 'yard');
  const weather = (await eventsAbout(store, yards, 'weatherRecorded')).flatMap((event) =>
    event.kind === 'weatherRecorded'
      ? event.payload.days.map(({ date }) => ({ yard: event.payload.yard, from: date, to: date }))
      : [],
  );
  await clearReadTables(store);
  const spans = yards.flatMap((yard) => {
    const days = weather
      .filter((each) => each.yard === yard)
      .map(({ from }) => from)
      .sort();
    return days.length === 0 ? [] : [{ yard, from: days[0] ?? '', to: days.at(-1) ?? '' }];
  });
  await refresh(store, breeder, { boxes, rounds, weather: spans });
  return { boxes: boxes.size };
}
