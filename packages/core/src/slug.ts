/** Words as an address names them: `Fit of frames` is `fit-of-frames`. */
export const slugOf = (words: string): string =>
  words
    .toLowerCase()
    .replaceAll(/[^\p{L}\d]+/gu, '-')
    .replaceAll(/^-|-$/g, '');
