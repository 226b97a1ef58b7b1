import { z } from 'zod';
import { boxCount, Joint, NestQuestion } from './build.ts';
import { DesignContent } from './design.ts';
import { Measures } from './measures.ts';
import { OwnFigures, text } from './primitives.ts';
import { Workshop } from './workshop.ts';

/** A design as a file: which, and of how many boxes. */
export const ExportFormat = z.enum(['svg', 'dxf', 'csv', 'json', 'pdf', 'stl', '3mf']);
export type ExportFormat = z.infer<typeof ExportFormat>;
export const ExportQuestion = z.strictObject({
  design: DesignContent,
  name: text(80).optional(),
  format: ExportFormat,
  joint: Joint.optional(),
  boxes: boxCount.optional(),
  paper: z.enum(['A4', 'Letter']).optional(),
  kerf_mm: NestQuestion.shape.kerf_mm.optional(),
  /** How lengths and weights are written; without it metric. Drawings to be cut by machine stay in mm. */
  measures: Measures.optional(),
  /** Stock to cut from; without it the usual one. */
  workshop: Workshop.optional(),
  constants: OwnFigures.optional(),
});
export type ExportQuestion = z.infer<typeof ExportQuestion>;
export const ExportAnswer = z.strictObject({
  name: z.string(),
  mime: z.string(),
  /** Text as it is, or base64. */
  encoding: z.enum(['utf8', 'base64']),
  content: z.string(),
});
export type ExportAnswer = z.infer<typeof ExportAnswer>;
