import type { Queen } from '@yellow-cell/contract';

/** What a queen is called: her name, the number of her mark, or where she comes from. */
export function queenName({ name, mark, mother, birthYear }: Queen): string {
  if (name) return name;
  if (mark?.number) return `No. ${mark.number}${birthYear ? ` of ${birthYear}` : ''}`;
  const of = mother && 'name' in mother ? ` of ${mother.name}` : '';
  return `${birthYear ? `${birthYear} queen` : 'Queen'}${of}`;
}
