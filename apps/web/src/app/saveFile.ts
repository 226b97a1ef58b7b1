import type { ExportAnswer } from '@yellow-cell/contract';

/** Hands a file to the browser to keep. */
export function saveFile({ name, mime, encoding, content }: ExportAnswer): void {
  const data = encoding === 'utf8' ? content : Uint8Array.from(atob(content), (char) => char.charCodeAt(0));
  saveBlob(name, new Blob([data], { type: mime }));
}

export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
