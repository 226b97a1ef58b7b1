import { existsSync } from 'node:fs';
import { installDebianPackages } from './packages.ts';

export const chromiumPath = '/usr/bin/chromium';
/** Sandbox and GPU are of no use in a test machine, and the rest keeps the browser from calling home. */
export const chromiumFlags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Debian's Chromium, installed where it is missing. */
export function ensureChromium(): void {
  if (!existsSync(chromiumPath))
    installDebianPackages(['chromium'], 'Chromium, in which the interface is tested,');
}
