/** Tints of queen territories: each its own tone and its own line, so that they differ without colour. */
const TINTS = [
  { tone: '#f6d9a8', line: 'M0 4H8' },
  { tone: '#cfe0c3', line: 'M4 0V8' },
  { tone: '#d9d0e6', line: 'M0 8 8 0' },
  { tone: '#f0cfc4', line: 'M0 0 8 8' },
  { tone: '#c9dfe2', line: 'M0 4H8M4 0V8' },
  { tone: '#e4dcc6', line: 'M4 3.5v1' },
] as const;

export function TerritoryDefs() {
  return (
    <svg aria-hidden width={0} height={0} className="absolute">
      <defs>
        {TINTS.map(({ tone, line }, index) => (
          <pattern key={tone} id={`territory-${index}`} width={8} height={8} patternUnits="userSpaceOnUse">
            <rect width={8} height={8} fill={tone} />
            <path d={line} stroke="#2a2521" strokeWidth={0.7} opacity={0.35} />
          </pattern>
        ))}
      </defs>
    </svg>
  );
}

/** A patch of a tint beside its words. */
export function TerritoryPatch({ index }: { index: number }) {
  return (
    <svg aria-hidden width={26} height={18} className="shrink-0 align-middle">
      <rect
        x={0.5}
        y={0.5}
        width={25}
        height={17}
        rx={3}
        fill={`url(#territory-${index % TINTS.length})`}
        stroke="var(--ink)"
      />
    </svg>
  );
}
