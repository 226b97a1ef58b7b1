import fc from 'fast-check';

/** Property tests try the same cases in every run; `YC_SEED=random` (or a number) tries others, and a failure names its seed. */
const { YC_SEED = '20260601' } = process.env;
fc.configureGlobal({ seed: YC_SEED === 'random' ? Date.now() : Number(YC_SEED) });
