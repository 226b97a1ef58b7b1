import { coreFigures } from './bench/core.ts';
import { type Figure, printTable } from './bench/figure.ts';
import { largeFigures } from './bench/large.ts';
import { roundFigures } from './bench/rounds.ts';
import { webFigures } from './bench/web.ts';
import { winterFigures } from './bench/winter.ts';
import { buildIfChanged } from './build.ts';
import { ensureChromium } from './chromium.ts';
import { main, Said } from './said.ts';
import { setStage } from './stage.ts';

const DEMO_MOST_S = 10;
/** Rows of forty boxes: 2,000 as the largest breeders have. */
const ROWS = 50;

const parts: Readonly<Record<string, () => Promise<Figure[]>>> = {
  core: async () => coreFigures(),
  winter: winterFigures,
  rounds: roundFigures,
  web: demoFigures,
  large: () => largeFigures(Number(process.argv[3] ?? ROWS)),
};

/**
 * Figures of speed and size, each against a plain baseline in the same run. `npm run bench -- core` (or winter, rounds,
 * web, large) a part of them alone; `-- large 12` a yard of so many rows of forty boxes.
 */
await main(async () => {
  ensureChromium();
  buildIfChanged();
  const asked = process.argv[2];
  if (asked !== undefined && !(asked in parts))
    throw new Said(`There is no such part: ${asked}. There are ${Object.keys(parts).join(', ')}.`);
  const figures: Figure[] = [];
  for (const [part, make] of Object.entries(parts))
    if (asked === undefined || asked === part) figures.push(...(await make()));
  printTable(figures);
  if (figures.some(({ holds }) => !holds)) process.exitCode = 1;
});

async function demoFigures(): Promise<Figure[]> {
  const started = performance.now();
  const stage = await setStage();
  const ours = (performance.now() - started) / 1_000;
  try {
    return [
      {
        what: 'new database, migrated, demo loaded, served',
        ours,
        baseline: DEMO_MOST_S,
        unit: 's',
        against: 'what the demo alone may take',
        holds: ours <= DEMO_MOST_S,
        wanted: `demo under ${DEMO_MOST_S} s`,
      },
      ...(await webFigures(stage)),
    ];
  } finally {
    await stage.close();
  }
}
