/** What stands in a code that the camera sees just now; undefined where it sees none. */
export type CodeReader = (video: HTMLVideoElement) => Promise<string | undefined>;

/** The browser's own detector, as far as it is used here; not every browser has one. */
interface Detector {
  detect(source: HTMLVideoElement): Promise<readonly { rawValue: string }[]>;
}
interface Detectors {
  new (options: { formats: string[] }): Detector;
  getSupportedFormats(): Promise<string[]>;
}

/** The browser's own reader where it has one for such codes, else one that ships with the program. */
export const codeReader = async (): Promise<CodeReader> => (await ownReader()) ?? shippedReader();

async function ownReader(): Promise<CodeReader | undefined> {
  const { BarcodeDetector: Own } = globalThis as { BarcodeDetector?: Detectors };
  if (!Own || !(await Own.getSupportedFormats()).includes('qr_code')) return undefined;
  const detector = new Own({ formats: ['qr_code'] });
  return async (video) => (await detector.detect(video))[0]?.rawValue;
}

/** A card held at arm's length is read in a picture of this width, and a slow phone keeps up. */
const WIDTH_PX = 640;

async function shippedReader(): Promise<CodeReader> {
  const [{ prepareZXingModule, readBarcodes }, { default: wasm }] = await Promise.all([
    import('zxing-wasm/reader'),
    import('zxing-wasm/reader/zxing_reader.wasm?url'),
  ]);
  // It comes from here and from nowhere else.
  await prepareZXingModule({ overrides: { locateFile: () => wasm }, fireImmediately: true });
  const canvas = document.createElement('canvas');
  const paper = canvas.getContext('2d', { willReadFrequently: true });
  return async (video) => {
    if (!paper || video.videoWidth === 0) return undefined;
    canvas.width = Math.min(WIDTH_PX, video.videoWidth);
    canvas.height = Math.round((canvas.width * video.videoHeight) / video.videoWidth);
    paper.drawImage(video, 0, 0, canvas.width, canvas.height);
    const seen = paper.getImageData(0, 0, canvas.width, canvas.height);
    const [found] = await readBarcodes(seen, { formats: ['QRCode'], maxNumberOfSymbols: 1 });
    return found?.text;
  };
}
