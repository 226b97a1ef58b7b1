/** How often, as far as that is known: to the nearest twentieth. */
export function odds(share: number): string {
  if (share < 0.05) return '< 5 %';
  if (share > 0.95) return '> 95 %';
  return `${Math.round(share * 20) * 5} %`;
}
