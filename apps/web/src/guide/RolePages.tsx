import type { Role } from '@yellow-cell/contract';
import { roles } from '@yellow-cell/core';

/** What a room can serve as, with what does harm in it. */
export function RolePages() {
  return (
    <dl>
      {(Object.keys(roles) as Role[]).map((role) => {
        const { name, why, sign, warns } = roles[role];
        return (
          <div key={role} className="border-t border-hairline py-2">
            <dt className="font-semibold">
              {name} {sign && <span className="text-soft">({sign} on the map)</span>}
            </dt>
            <dd>
              {why}{' '}
              {[...new Set(Object.values(warns))].map((sentence) => (
                <span key={sentence} className="block text-sm text-soft">
                  {sentence}
                </span>
              ))}
            </dd>
          </div>
        );
      })}
    </dl>
  );
}
