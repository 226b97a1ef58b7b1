export { type BuildSheet, buildSheetPdf } from './buildSheet.ts';
export type { PaperName } from './paper.ts';
export { type YardPaper, yardPaperPdf } from './yardPaper.ts';
