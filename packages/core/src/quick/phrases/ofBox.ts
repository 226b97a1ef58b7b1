import type { Amount } from '../amounts.ts';
import { ask, type Fact, fact, type Phrase, type Said } from '../fact.ts';
import type { Got } from '../pattern.ts';

const ofBox = (of: Fact): Fact => ({ ...of, ofBox: true });
const MOST_WEIGHED_KG = 300;
const weighed =
  (felt: boolean) =>
  ({ weight }: Got): Said => {
    const said = weight as Amount | 'unclear';
    if (said === 'unclear' || !('kg' in said))
      return ask('Is the separator one of thousands or of decimals?');
    if (!(said.kg > 0) || said.kg > MOST_WEIGHED_KG) return ask(`No box of ${said.kg} kg is weighed.`);
    return [
      ofBox(
        fact('weighed', `${felt ? 'hefted at about' : 'weighed'} ${said.kg} kg`, {
          weight_kg: said.kg,
          felt,
        }),
      ),
    ];
  };
const divider =
  (stands: boolean) =>
  ({ whole }: Got) => [
    ofBox(
      fact('dividerSet', `divider${whole === undefined ? '' : ` ${whole}`} ${stands ? 'set' : 'pulled'}`, {
        divider: whole,
        stands,
      }),
    ),
  ];

/** What is told of a box as a whole. */
export const boxPhrases: readonly Phrase[] = [
  { says: ['@weighed (about|at)? {weight}', '{weight} @weighed'], means: weighed(false) },
  { says: ['@hefted (about|at|to)? {weight}', '{weight} (by hand|@hefted)'], means: weighed(true) },
  {
    says: ['(@weighed|@hefted) (about|at)? {number}'],
    means: ({ number }) =>
      ask(
        `${number} of which: kg or lb?`,
        `weighed ${number} kg`,
        `weighed ${number} lb`,
        `hefted ${number} kg`,
        `hefted ${number} lb`,
      ),
  },
  { says: ['@weighed', '@hefted'], means: () => ask('How heavy is it?') },
  {
    says: ['@inside {celsius}', '{celsius} @inside'],
    means: ({ celsius }) => {
      const inside = Number(celsius);
      return inside > -40 && inside < 70
        ? [fact('temperatureRead', `${Number(inside.toFixed(1))} °C inside`, { inside_C: inside })]
        : ask(`${inside} °C is in no box.`);
    },
  },
  {
    says: ['@inside {number}'],
    means: ({ number }) => ask(`${number} of which degrees?`, `inside ${number} C`, `inside ${number} F`),
  },
  { says: ['@pulled ~ @board {whole}?'], means: divider(false) },
  {
    says: ['@set ~ @board {whole}?', 'put @board {whole}? back? in?', '@board {whole}? put? back in?'],
    means: divider(true),
  },
  { says: ['@board {whole}?', 'dividers'], means: () => ask('The divider: pulled, or set?') },
];
