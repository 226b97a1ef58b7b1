import { newId } from './ids.ts';
import { keep, readKept } from './kept.ts';

/** This device's own name and its count of entries, which order entries made at the same moment. */
const device = readKept<string>('yc-device') ?? newId();
keep('yc-device', device);

export function nextOnDevice(): { device: string; deviceSeq: number } {
  const deviceSeq = (readKept<number>('yc-device-seq') ?? 0) + 1;
  keep('yc-device-seq', deviceSeq);
  return { device, deviceSeq };
}
