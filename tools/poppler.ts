import { existsSync } from 'node:fs';
import { installDebianPackages } from './packages.ts';

/** Debian's poppler tools, by which tests read back what was written as PDF. */
export function ensurePoppler(): void {
  if (!existsSync('/usr/bin/pdftocairo'))
    installDebianPackages(['poppler-utils'], 'poppler, with which build sheets are read back in the tests,');
}
