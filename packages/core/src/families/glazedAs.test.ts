import { expect, it } from 'vitest';
import { withLayers } from '../box/parts.ts';
import { bodiesOf } from '../box/stack.ts';
import { familyDesign } from './build.ts';
import { glazedAs } from './glazedAs.ts';
import { observation } from './observation.ts';

it('an observation box is known by its panes: a frame over a nucleus, a top that frames are lifted into, or a wall', () => {
  expect(glazedAs(observation('display'))).toBe('frame');
  expect(glazedAs(observation('lifting'))).toBe('lifting');
  expect(glazedAs(observation('wall'))).toBe('wall');
  expect(glazedAs(observation('columns'))).toBe('wall');
  expect(glazedAs(familyDesign('nucleus'))).toBe('lifting');
});

it('without its top it is no wall: what stands are frames that nobody sees', () => {
  const lifting = observation('lifting');
  const glazed = bodiesOf(lifting).filter(({ glass }) => glass.length > 0);
  const bare = withLayers(lifting, (layers) =>
    layers.filter((layer) => !glazed.some(({ id }) => id === layer.id)),
  );
  expect(glazedAs(bare)).toBe('lifting');
});
