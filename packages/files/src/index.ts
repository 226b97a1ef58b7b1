export { cutListCsv, machiningWords } from './csv.ts';
export { partsDxf } from './dxf.ts';
export { labelOf, laidOut } from './sheetLayout.ts';
export { partsSvg } from './svg.ts';
