const PLACE = /^\/yard\/([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})\/?$/;
const BOX = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/**
 * Where the code of a box card leads in this program; undefined where it is no card's. Cards may have been printed while
 * the program was at another address: its yard and its box are what counts.
 */
export function cardAddress(code: string): string | undefined {
  if (!URL.canParse(code)) return undefined;
  const { protocol, pathname, searchParams } = new URL(code);
  const [, yard] = PLACE.exec(pathname.toLowerCase()) ?? [];
  const box = searchParams.get('box')?.toLowerCase() ?? '';
  if (!/^https?:$/.test(protocol) || !yard || !BOX.test(box)) return undefined;
  return `/yard/${yard}?box=${box}`;
}
