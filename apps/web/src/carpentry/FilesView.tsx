import type {
  DesignContent,
  ExportAnswer,
  ExportFormat,
  ExportQuestion,
  Joint,
  Workshop,
} from '@yellow-cell/contract';
import { FileDown } from 'lucide-react';
import { useRef, useState } from 'react';
import { ApiError, sendJson } from '../app/api.ts';
import { saveFile } from '../app/saveFile.ts';
import { useMeasures } from '../app/units.ts';
import { SelectField } from '../parts/Field.tsx';

interface FilesViewProps {
  design: DesignContent;
  name: string;
  joint: Joint;
  boxes: number;
  workshop: Workshop;
  /** Figures of the yard’s own, as the other views reckon with. */
  constants: Readonly<Record<string, number>> | undefined;
}

const FILES: readonly (readonly [ExportFormat, string, string])[] = [
  [
    'pdf',
    'Build sheet',
    'PDF: drawings at a stated scale, cut list, sheets with the order of cuts, steps to tick.',
  ],
  ['dxf', 'Parts for a router or laser', 'DXF in mm: layers OUTLINE, HOLE, GROOVE by depth, BEND, ENGRAVE.'],
  ['svg', 'Parts as a drawing', 'SVG in mm, in groups by tool.'],
  ['csv', 'Cut list', 'CSV, one line a part.'],
  ['stl', 'Printable parts', 'Binary STL of each part, in one ZIP; in mm.'],
  ['3mf', 'Printable parts, together', '3MF; in mm.'],
  ['json', 'The design itself', 'JSON that can be read back here or elsewhere.'],
];

/** Everything that leaves the bench for the shed, each in an open format. */
export function FilesView({ design, name, joint, boxes, workshop, constants }: FilesViewProps) {
  const measures = useMeasures();
  const [paper, setPaper] = useState<'A4' | 'Letter'>('A4');
  const [busy, setBusy] = useState<ExportFormat>();
  const [problem, setProblem] = useState('');
  const making = useRef<AbortController>(undefined);
  const fetchFile = async (format: ExportFormat) => {
    setBusy(format);
    making.current = new AbortController();
    setProblem('');
    const question: ExportQuestion = {
      design,
      name,
      format,
      joint,
      boxes,
      paper,
      workshop,
      measures,
      constants,
    };
    try {
      const answer = await sendJson<ExportAnswer>('POST', '/compute/export', question, making.current.signal);
      saveFile(answer);
    } catch (error) {
      const stopped = error instanceof DOMException && error.name === 'AbortError';
      if (!stopped && !(error instanceof ApiError)) throw error;
      if (error instanceof ApiError)
        setProblem(error.details?.problems?.map(({ sentence }) => sentence).join(' ') ?? error.message);
    }
    setBusy(undefined);
  };
  return (
    <div className="max-w-3xl">
      <SelectField
        label="Paper"
        value={paper}
        onChange={({ target }) => setPaper(target.value as 'A4' | 'Letter')}
      >
        <option>A4</option>
        <option>Letter</option>
      </SelectField>
      {problem && (
        <p role="alert" className="text-danger">
          {problem}
        </p>
      )}
      <ul>
        {FILES.map(([format, title, words]) => (
          <li key={format} className="flex items-center justify-between gap-4 border-t border-hairline py-2">
            <span>
              <strong>{title}</strong>
              <span className="block text-sm text-soft">{words}</span>
            </span>
            {busy === format && (
              <button type="button" className="button ml-auto" onClick={() => making.current?.abort()}>
                Stop
              </button>
            )}
            <button
              type="button"
              className="button shrink-0"
              disabled={busy !== undefined}
              onClick={() => void fetchFile(format)}
            >
              <FileDown size={17} aria-hidden /> {busy === format ? 'Making it…' : format.toUpperCase()}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
