import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import { qrSquares } from '@yellow-cell/files/qr';
import { chromiumFlags, chromiumPath } from '../tools/chromium.ts';
import { slip } from './yardKit.ts';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true } as const;
const FILM = { width: 640, height: 480, perSecond: 10 };

/** A film for the browser's camera, uncompressed: each code so many frames long, aslant and a little grey, as a hand holds it. */
function film(shots: readonly { code: string; frames: number }[]): Buffer {
  const { width, height, perSecond } = FILM;
  const grey = Buffer.alloc((width * height) / 2, 128);
  const frames = shots.flatMap(({ code, frames }) => {
    const { count, dark } = qrSquares(code);
    const isDark = new Set(dark.map(({ x, y }) => x + y * count));
    const module = 300 / count;
    const [sin, cos] = [Math.sin(0.15), Math.cos(0.15)];
    const light = Buffer.alloc(width * height, 190);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const [dx, dy] = [x - width / 2, y - height / 2];
        const [column, row] = [
          Math.floor((dx * cos + dy * sin) / module + count / 2),
          Math.floor((dy * cos - dx * sin) / module + count / 2),
        ];
        const inside = column >= 0 && row >= 0 && column < count && row < count;
        if (inside && isDark.has(column + row * count)) light[y * width + x] = 60;
      }
    return Array.from({ length: frames }, () => Buffer.concat([Buffer.from('FRAME\n'), light, grey]));
  });
  return Buffer.concat([
    Buffer.from(`YUV4MPEG2 W${width} H${height} F${perSecond}:1 Ip A1:1 C420jpeg\n`),
    ...frames,
  ]);
}

test('the code of a card is read by the camera and opens its box; another code is named as what it is', async ({
  baseURL,
  request,
}) => {
  const [yard] = await (await request.get('/api/yards')).json();
  const { boxes } = await (await request.get('/api/boxes?find=B7')).json();
  const card = `http://printed.elsewhere.example/yard/${yard.id}?box=${boxes[0].id}`;
  const folder = mkdtempSync(join(tmpdir(), 'yellow-cell-film-'));
  const path = join(folder, 'cards.y4m');
  writeFileSync(
    path,
    film([
      { code: 'WIFI:S:shed;;', frames: 3 * FILM.perSecond },
      { code: card, frames: 3 * FILM.perSecond },
    ]),
  );
  const browser = await chromium.launch({
    executablePath: chromiumPath,
    args: [
      ...chromiumFlags,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${path}`,
    ],
  });
  try {
    const page = await browser.newPage({ ...PHONE, serviceWorkers: 'block', baseURL: baseURL ?? '' });
    const strangers: string[] = [];
    page.on('request', (asked) => asked.url().startsWith(baseURL ?? '') || strangers.push(asked.url()));
    await page.goto(`/yard/${yard.id}`);
    await page.getByRole('button', { name: 'More of this yard' }).tap();
    await page.getByRole('link', { name: 'Read a code' }).tap();
    await expect(page.getByText('Hold the code of a box card before the camera.')).toBeVisible();
    await expect(page.getByText('That code is of no box card: “WIFI:S:shed;;”.')).toBeVisible();
    await expect(page).toHaveURL(new RegExp(`/yard/${yard.id}\\?box=${boxes[0].id}`));
    await expect(slip(page).getByRole('heading', { name: /B7/ }).first()).toBeVisible();
    // The reader ships with the program.
    expect(strangers.filter((url) => !url.startsWith('data:') && !url.startsWith('blob:'))).toEqual([]);
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true });
  }
});

test('without a camera it says so, and how else a box is opened', async ({ page, request }) => {
  const [yard] = await (await request.get('/api/yards')).json();
  await page.goto(`/yard/${yard.id}/scan`);
  await expect(page.getByText(/no camera that answers|not given to this page/)).toBeVisible();
  await expect(page.getByText(/A label typed into the line above/)).toBeVisible();
  await page.getByRole('link', { name: `Back to ${yard.name}` }).click();
  await expect(page).toHaveURL(new RegExp(`/yard/${yard.id}`));
});
