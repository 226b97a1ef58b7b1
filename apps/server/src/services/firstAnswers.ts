import { listYards } from '../store/yards.ts';
import type { Context } from './context.ts';

/** As many boxes as the yard's own screen asks for at first. */
const PAGE = 50;

/** What a page asks for first of all: who looks, the yards, and of the yard that it shows how its boxes stand today. */
export async function firstAnswers(context: Context, page: string): Promise<string[]> {
  const { pathname, searchParams } = new URL(page, 'http://page');
  const [place, wanted, ...further] = pathname.split('/').filter(Boolean);
  const always = ['/api/session', '/api/yards'];
  if ((place ?? 'yard') !== 'yard' || further.length > 0) return always;
  const yards = await context.reading(listYards);
  const yard = wanted === undefined ? yards[0] : yards.find(({ id }) => id === wanted);
  if (!yard) return always;
  const standing = searchParams.has('on') ? [] : [`/api/yards/${yard.id}/standing?limit=${PAGE}`];
  return [...always, `/api/yards/${yard.id}/around`, ...standing];
}
