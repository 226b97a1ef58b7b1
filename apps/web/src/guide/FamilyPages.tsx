import { families, familyDesign } from '@yellow-cell/core';
import { BoxSection } from '../drawing/BoxSection.tsx';
import { BoxThumb } from '../drawing/BoxThumb.tsx';

/** The families of boxes, each drawn as it comes from the shelf: from above, and cut open. */
export function FamilyPages() {
  return (
    <ul className="grid gap-x-5 gap-y-4 sm:grid-cols-2">
      {families.map(({ family, name, purpose, school }) => (
        <li key={family} className="break-inside-avoid border-t border-hairline pt-2">
          <h3 className="text-base">{name}</h3>
          <div className="grid grid-cols-2 gap-2">
            <BoxThumb design={familyDesign(family)} width={170} height={110} />
            <BoxSection design={familyDesign(family)} width={150} height={110} />
          </div>
          <p className="text-sm">{purpose}</p>
          <p className="text-sm text-soft">{school}</p>
        </li>
      ))}
    </ul>
  );
}
