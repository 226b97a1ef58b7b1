import type { ReactNode } from 'react';

interface WinterTableProps {
  /** Of the columns: those from `right` on stand to the right, as figures do. */
  heads: readonly string[];
  right: number;
  /** Its rows, one body or several. */
  children: ReactNode;
}

/** A list of winter: small heads over close rows. */
export function WinterTable({ heads, right, children }: WinterTableProps) {
  return (
    <table className="mt-1 w-full border-collapse text-[0.9rem] leading-tight">
      <thead>
        <tr className="text-left text-sm text-soft">
          {heads.map((head, column) => (
            <th key={head} className={`px-1 font-normal ${column < right ? '' : 'text-right'}`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      {children}
    </table>
  );
}
