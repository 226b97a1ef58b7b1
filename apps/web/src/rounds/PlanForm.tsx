import {
  cellsExpected,
  countOf,
  plusDays,
  queensOdds,
  roundCalendar,
  roundFor,
  roundWants,
  showDay,
  showWindow,
} from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { newId } from '../app/ids.ts';
import { useSay } from '../app/units.ts';
import { draft, useLog } from '../app/useLog.ts';
import { SelectField, TextField } from '../parts/Field.tsx';
import { numberIn } from '../parts/numberIn.ts';
import { Form } from '../yard/Form.tsx';
import { DonorField, donorsOf } from './DonorField.tsx';
import { percent } from './percent.ts';
import { SURELY } from './surely.ts';
import type { Rearing } from './useRearing.ts';
import { wantsInLines } from './wantsInLines.ts';

const USUAL_QUEENS = 20;
const USUAL_AHEAD_D = 45;

/** A round from either end: queens by a day, or a graft on a day; cells by the record and the confidence wanted. */
export function PlanForm({ rearing, onDone }: { rearing: Rearing; onDone: () => void }) {
  const say = useSay();
  const log = useLog();
  const { season, today, constants, views } = rearing;
  const [end, setEnd] = useState<'take' | 'graft'>('take');
  const [day, setDay] = useState(plusDays(today, USUAL_AHEAD_D));
  const [queens, setQueens] = useState(String(USUAL_QUEENS));
  const [grafts, setGrafts] = useState('45');
  const [confidence, setConfidence] = useState(0.9);
  const [donor, setDonor] = useState(donorsOf(season).at(-1) ?? '');
  const laying_d = constants.harvestFrom_d;
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(day);
  const days =
    isDay &&
    roundCalendar(
      end === 'take' ? { takeBy: day, give: 'cell', laying_d } : { graft: day, give: 'cell', laying_d },
    );
  const wanted = numberIn(queens);
  const badQueens =
    Number.isInteger(wanted) && wanted >= 1 && wanted <= 500 ? undefined : 'A whole number from 1 to 500.';
  const need = badQueens || end === 'graft' ? undefined : roundFor(wanted, confidence, season);
  const larvae = need?.grafts ?? numberIn(grafts);
  const badGrafts =
    Number.isInteger(larvae) && larvae >= 1 && larvae <= 1_000
      ? undefined
      : 'A whole number from 1 to 1,000.';
  const earliest = roundCalendar({ graft: today, give: 'cell', laying_d });
  const late =
    days && days.graft < today
      ? `That is too late: grafted today, the last of them is ready ${say(showDay(earliest.take[1], today))} at the earliest.`
      : undefined;
  const cells = need?.cells ?? cellsExpected(larvae, season);
  const wantLines = badGrafts ? [] : wantsInLines(roundWants(larvae, cells, constants));
  const rooms = need?.cells;
  const odds = useMemo(
    () => (badGrafts ? [] : queensOdds(larvae, season, rooms)),
    [badGrafts, larvae, season, rooms],
  );
  const dronesLate = days && !late && days.droneEggsBy < today;
  const number = Math.max(0, ...views.map(({ round }) => round.number)) + 1;
  const save = () => {
    if (!days || late || badGrafts || (end === 'take' && badQueens) || donor.trim() === '') return;
    return log(`Round ${number} planned for ${say(showDay(days.graft, today))}`, [
      draft('roundPlanned', {
        round: newId(),
        number,
        donor: donor.trim(),
        graftOn: days.graft,
        grafts: larvae,
      }),
    ]).then(onDone);
  };
  return (
    <>
      <h2 className="mb-2 text-lg">Plan round {number}</h2>
      <Form save="Plan it" onSave={save} onCancel={onDone}>
        <SelectField label="From" value={end} onChange={({ target }) => setEnd(target.value as typeof end)}>
          <option value="take">the queens wanted, back to the graft</option>
          <option value="graft">the day of the graft on</option>
        </SelectField>
        <TextField
          label={end === 'take' ? 'The last of them ready by' : 'Graft on'}
          type="date"
          value={day}
          problem={isDay ? late : 'A day is needed here.'}
          onChange={({ target }) => setDay(target.value)}
        />
        {end === 'take' ? (
          <>
            <TextField
              label="Queens (how many)"
              inputMode="numeric"
              value={queens}
              problem={badQueens}
              onChange={({ target }) => setQueens(target.value)}
            />
            <SelectField
              label="How surely"
              value={String(confidence)}
              hint={
                need &&
                `${countOf(need.cells, 'ripe cell')}, ${countOf(need.grafts, 'graft')}: by your record, with what it does not know.`
              }
              onChange={({ target }) => setConfidence(Number(target.value))}
            >
              {SURELY.map(([share, words]) => (
                <option key={share} value={share}>
                  {words}
                </option>
              ))}
            </SelectField>
          </>
        ) : (
          <TextField
            label="Grafts (how many)"
            inputMode="numeric"
            value={grafts}
            problem={badGrafts}
            onChange={({ target }) => setGrafts(target.value)}
          />
        )}
        {odds.length > 0 && (
          <dl className="mb-2" aria-label="Odds of each number">
            {odds.map(({ queens: least, chance }) => (
              <div key={least} className="row-line">
                <dt>At least {countOf(least, 'queen')}</dt>
                <dd>{percent(chance)}</dd>
              </div>
            ))}
          </dl>
        )}
        <DonorField season={season} value={donor} onChange={setDonor} />
        {days && !late && (
          <dl className="mb-2">
            {(
              [
                ['Drawn comb to the donor', showDay(days.donorComb, today)],
                ['Graft', showDay(days.graft, today)],
                ['Rooms stocked', showDay(days.stock, today)],
                ['Ripe, given', showDay(days.ripe, today)],
                ['Eggs', showWindow(...days.eggs, today)],
                ['Ready', showWindow(...days.take, today)],
                ...wantLines,
              ] as const
            ).map(([name, value]) => (
              <div key={name} className="row-line">
                <dt>{name}</dt>
                <dd>{say(value)}</dd>
              </div>
            ))}
          </dl>
        )}
        {dronesLate && (
          <p className="mb-2 rounded bg-glow px-2 py-1">
            Drones for these virgins come of eggs laid by {say(showDay(days.droneEggsBy, today))}, which is
            past: they fly only where drones were raised before.
          </p>
        )}
      </Form>
    </>
  );
}
