export { type Outline, type ReadOutline, readOutline } from './outline.ts';
