/** What a design or part is called, as the name of a file: letters and figures of any script, hyphens between. */
export const fileName = (name: string): string =>
  name
    .normalize('NFKC')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'box';
