export * from './compute.ts';
export * from './design.ts';
export * from './event.ts';
export * from './format.ts';
export * from './primitives.ts';
export * from './problem.ts';
export * from './status.ts';
export * from './yard.ts';
