/** Spaces joined by passages, directly or through others: groups sorted within and among themselves. */
export function groupSpaces(
  spaces: readonly string[],
  passages: readonly { between: readonly [string, string] }[],
): string[][] {
  const above = new Map(spaces.map((space) => [space, space]));
  const topOf = (space: string): string => {
    let top = space;
    for (let next = above.get(top) ?? top; next !== top; next = above.get(top) ?? top) top = next;
    above.set(space, top); // shortens the way for the next who asks
    return top;
  };
  for (const { between } of passages) above.set(topOf(between[0]), topOf(between[1]));
  const groups = new Map<string, string[]>();
  for (const space of [...spaces].sort())
    groups.set(topOf(space), [...(groups.get(topOf(space)) ?? []), space]);
  return [...groups.values()];
}
