/** A phone held upright: lists before maps, and less fetched beforehand. As wide as Tailwind's `max-sm`. */
export const isNarrow = (): boolean => window.matchMedia('(max-width: 640px)').matches;

/** Room for a second column beside a list. As wide as Tailwind's `lg`. */
export const isWide = (): boolean => window.matchMedia('(min-width: 64rem)').matches;
