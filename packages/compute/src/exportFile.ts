import { Buffer } from 'node:buffer';
import type { DesignFile, ExportAnswer, ExportQuestion, Problem } from '@yellow-cell/contract';
import {
  bedProblem,
  buildSteps,
  constantsWith,
  costOf,
  fileName,
  METRIC,
  nest,
  parts,
  partsProblems,
  printerFor,
  printPlan,
  sheetGroups,
  usualWorkshop,
} from '@yellow-cell/core';
import { cutListCsv, partsDxf, partsSvg } from '@yellow-cell/files';

const MIME: Readonly<Record<ExportQuestion['format'], string>> = {
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  csv: 'text/csv',
  json: 'application/json',
  pdf: 'application/pdf',
  stl: 'application/zip',
  '3mf': 'model/3mf',
};

/** A design as a file for the shed: drawing, cut list, build sheet, or printable meshes. */
export async function exportFile(question: ExportQuestion): Promise<ExportAnswer> {
  const { format } = question;
  const name = fileName(question.name ?? 'box');
  const answer = (content: string | Uint8Array, ending: string = format): ExportAnswer =>
    typeof content === 'string'
      ? { name: `${name}.${ending}`, mime: MIME[format], encoding: 'utf8', content }
      : {
          name: `${name}.${ending}`,
          mime: MIME[format],
          encoding: 'base64',
          content: Buffer.from(content).toString('base64'),
        };
  if (format === 'json') return answer(`${JSON.stringify(fileOf(question), null, 2)}\n`);
  if (format === 'pdf') return answer(await pdfOf(question));
  if (format === 'stl' || format === '3mf') {
    const { printMeshes, stlOf, threeMfOf } = await import('@yellow-cell/files/mesh');
    const meshes = await printMeshes(question.design);
    if (format === '3mf') return answer(threeMfOf(meshes));
    const { zipSync } = await import('fflate');
    const files = meshes.map(
      (mesh, index) => [`${index + 1}-${fileName(mesh.name)}.stl`, stlOf(mesh)] as const,
    );
    return answer(zipSync(Object.fromEntries(files)), 'stl.zip');
  }
  const built = parts(question);
  // What is printed goes out as meshes; a saw or a laser has nothing to cut of it.
  const cut = built.parts.filter(({ printed }) => !printed);
  if (format === 'dxf') return answer(partsDxf(cut));
  if (format === 'svg') return answer(partsSvg(cut));
  return answer(cutListCsv(built.parts, built.fittings, question.boxes ?? 1, question.measures ?? METRIC));
}

const fileOf = ({ name = 'Box', design }: ExportQuestion): DesignFile => ({
  yellowCell: 'design',
  name,
  content: design,
});

async function pdfOf(question: ExportQuestion): Promise<Uint8Array> {
  const { design, joint = 'butt', boxes = 1, paper = 'A4', kerf_mm, workshop = usualWorkshop } = question;
  const { buildSheetPdf } = await import('@yellow-cell/files/pdf');
  const constants = constantsWith(question.constants);
  const built = parts({ design, joint }, constants);
  const name = question.name ?? 'Box';
  const groups = sheetGroups(
    [{ design: name, boxes, parts: built.parts }],
    workshop.stock,
    kerf_mm ?? workshop.kerf_mm,
  );
  return await buildSheetPdf({
    name,
    design,
    joint,
    boxes,
    paper,
    measures: question.measures ?? METRIC,
    answer: built,
    steps: buildSteps(design, joint, constants),
    sheets: groups.map((group) => {
      const nested = group.question && nest(group.question);
      return { group, nested, cost: nested ? costOf(group, nested) : null };
    }),
  });
}

/** What cannot be built cannot be exported; meshes only of what is printed. */
export function exportProblems(
  question: Pick<ExportQuestion, 'design' | 'format' | 'workshop' | 'constants'>,
): Problem[] {
  const { design, format } = question;
  const problems = partsProblems({ design });
  if (problems.length > 0 || (format !== 'stl' && format !== '3mf')) return problems;
  const printer = printerFor(design, question.workshop?.printer ?? null);
  const sentence = bedProblem(printPlan(design, printer, constantsWith(question.constants)));
  return sentence ? [{ path: 'design.bed', sentence }] : [];
}
