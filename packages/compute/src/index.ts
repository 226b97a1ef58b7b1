export { type Computed, compute, computeText } from './compute.ts';
export { problemsOf } from './problems.ts';
export { isSubject, type SubjectName, subjects } from './subjects.ts';
