export { type PrintMesh, printMeshes } from './printMesh.ts';
export { stlOf } from './stl.ts';
export { threeMfOf } from './threeMf.ts';
