import type { DesignContent, Sheet } from '@yellow-cell/contract';
import { countOf } from '../say/words.ts';

export const sheetWords: Readonly<Record<Sheet['what'], string>> = {
  board: 'Thin board',
  cloth: 'Cloth',
  foil: 'Foil-bubble',
  slats: 'Slatted mat',
  mesh: 'Mesh',
  excluder: 'Excluder',
  screen: 'Screen',
  tray: 'Tray',
};

/** What a layer of a stack is called where no measures are told: a body with its frames, a rim, a sheet. */
export function layerName(layer: DesignContent['layers'][number]): string {
  if (layer.kind === 'sheet') return `${sheetWords[layer.what]}${layer.each ? ', one each' : ''}`;
  const frames = layer.bays.reduce((sum, bay) => sum + bay.frames.length, 0);
  const name = layer.name || (frames > 0 ? 'Body' : 'Rim');
  return frames > 0 ? `${name}, ${countOf(frames, 'frame')}` : name;
}
