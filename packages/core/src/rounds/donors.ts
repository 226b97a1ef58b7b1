import type { Round } from '@yellow-cell/contract';
import { type Day, daysBetween } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import type { RoundView } from './rearing.ts';

/** What a donor gave so far, and what is wanted of her next. */
export interface DonorRecord {
  donor: string;
  /** Her record, where her rounds name it. */
  queen: string | undefined;
  rounds: number;
  /** Larvae of rounds whose cells are counted, and cells taken on of them. */
  grafts: number;
  accepted: number;
  /** Cells given of hers, and queens of them that lay or were taken. */
  given: number;
  queens: number;
  lastGraft: Day | undefined;
  /** A drawn comb goes to her on `comb`, and is taken for the graft at the same hour. */
  next: { round: Round; comb: Day; graft: Day } | undefined;
  /** Grafts of hers that are planned nearer to one another than she fills a comb, each with the one before. */
  tooNear: readonly { graft: Day; before: Day }[];
}

const NEVER: Day = '9999-12-31';

/** Donors of all rounds, those whose comb is due first at the beginning (handbook 5, a donor in a holding box). */
export function donorRecords(
  views: readonly RoundView[],
  { donorComb_d }: Pick<Constants, 'donorComb_d'>,
  today: Day,
): DonorRecord[] {
  const byDonor = new Map<string, RoundView[]>();
  for (const view of views) byDonor.set(view.round.donor, [...(byDonor.get(view.round.donor) ?? []), view]);
  return [...byDonor]
    .map(([donor, own]): DonorRecord => {
      const grafted = own.filter(({ round }) => !round.planned);
      const counted = grafted.filter(({ round }) => round.accepted);
      const sum = (of: readonly RoundView[], what: (view: RoundView) => number) =>
        of.reduce((total, view) => total + what(view), 0);
      const byDay = own.toSorted((a, b) => (a.days.graft < b.days.graft ? -1 : 1));
      const next = byDay.find(({ round, days }) => round.planned && days.graft >= today);
      const tooNear = byDay.slice(1).flatMap(({ round, days }, index) => {
        const before = byDay[index]?.days.graft ?? days.graft;
        return round.planned && days.graft >= today && daysBetween(before, days.graft) < donorComb_d
          ? [{ graft: days.graft, before }]
          : [];
      });
      return {
        donor,
        queen: byDay.findLast(({ round }) => round.donorQueen)?.round.donorQueen,
        rounds: grafted.length,
        grafts: sum(counted, ({ round }) => round.grafts),
        accepted: sum(counted, ({ round }) => round.accepted?.cells ?? 0),
        given: sum(grafted, ({ outcome }) => outcome?.given ?? 0),
        queens: sum(grafted, ({ queens }) => queens),
        lastGraft: byDay.findLast(({ round }) => !round.planned)?.days.graft,
        next: next && { round: next.round, comb: next.days.donorComb, graft: next.days.graft },
        tooNear,
      };
    })
    .sort(
      (a, b) =>
        (a.next?.comb ?? NEVER).localeCompare(b.next?.comb ?? NEVER) || a.donor.localeCompare(b.donor),
    );
}
