/** North, and on the other side the side that the midday sun warms. */
export function Compass({ latitude_deg = 48, turn_deg = 0 }: { latitude_deg?: number; turn_deg?: number }) {
  const south = latitude_deg < 0;
  return (
    <g transform={`rotate(${turn_deg})`}>
      <circle r={23} fill="var(--sheet)" stroke="var(--hairline)" />
      <path d="M0 -17 5 0H-5Z" fill="var(--ink)" />
      <path d="M0 17 5 0H-5Z" fill="none" stroke="var(--soft)" />
      <text y={-27} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--ink)">
        N
      </text>
      <g transform={south ? 'translate(15 -31)' : 'translate(0 31)'}>
        <circle r={3.6} fill="var(--yellow)" stroke="var(--ink)" strokeWidth={0.8} />
        <path
          d="M0 -7.5V-5.5M0 7.5V5.5M-7.5 0H-5.5M7.5 0H5.5M-5.3 -5.3-3.9 -3.9M5.3 5.3 3.9 3.9M-5.3 5.3-3.9 3.9M5.3 -5.3 3.9 -3.9"
          stroke="var(--ink)"
          strokeWidth={0.9}
        />
      </g>
    </g>
  );
}
