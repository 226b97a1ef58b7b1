import { showDay, type WinterLosses } from '@yellow-cell/core';
import { useSay } from '../app/units.ts';
import { WinterTable } from './WinterTable.tsx';

const BY = { design: 'by design', arrangement: 'by arrangement', strength: 'by strength in autumn' } as const;
const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How the last winter went, by design, arrangement and strength, each with what the record says of the true rate. */
export function Losses({ losses, on }: { losses: WinterLosses; on: string }) {
  const say = useSay();
  const { lived, lost, groups, from, to } = losses;
  if (lived + lost === 0) return null;
  return (
    <section aria-label="How winter went" className="mt-4">
      <h2 className="text-lg">{to < on ? 'How winter went' : 'How winter goes so far'}</h2>
      <p>
        {say(
          `Of ${lived + lost} colonies ${lived || 'none'} came through from ${showDay(from, on)} to ${showDay(to, on)}; ${lost || 'none'} died or had to be joined to another.`,
        )}
      </p>
      <WinterTable heads={['kind', 'came through', 'true rate, nine of ten']} right={1}>
        {(['design', 'arrangement', 'strength'] as const).map((by) => (
          <tbody key={by}>
            <tr>
              <th colSpan={3} scope="colgroup" className="pt-1.5 text-left text-sm font-semibold">
                {BY[by]}
              </th>
            </tr>
            {groups
              .filter((group) => group.by === by)
              .map((group) => (
                <tr key={group.name} className="border-b border-hairline">
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {group.name}
                  </th>
                  <td className="pr-3 text-right">
                    {group.lived} of {group.lived + group.lost}
                  </td>
                  <td className="whitespace-nowrap text-right">
                    {percent(group.low)} to {percent(group.high)}
                  </td>
                </tr>
              ))}
          </tbody>
        ))}
      </WinterTable>
    </section>
  );
}
