export { type Computed, compute, computeText } from './compute.ts';
export { designFileSchema, type ReadDesign, readDesignFile } from './designFile.ts';
export { problemsOf } from './problems.ts';
export { isHeavy, isSubject, type SubjectName, subjects } from './subjects.ts';
