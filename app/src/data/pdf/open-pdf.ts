import type { getDocument, GlobalWorkerOptions, PDFDocumentProxy } from 'pdfjs-dist';

declare global {
  interface Window {
    /** Put there by `/workers/pdf.js`. */
    oilcanPdf?: { readonly getDocument: typeof getDocument; readonly GlobalWorkerOptions: typeof GlobalWorkerOptions };
  }
}

let loading: Promise<NonNullable<Window['oilcanPdf']>> | undefined;

function loadReader(): Promise<NonNullable<Window['oilcanPdf']>> {
  loading ??= new Promise((resolve, reject) => {
    const script = document.createElement('script');
    script.src = '/workers/pdf.js';
    script.onload = () => {
      const reader = window.oilcanPdf;
      if (reader === undefined) return reject(new Error('The PDF reader did not start.'));
      reader.GlobalWorkerOptions.workerSrc = '/workers/pdf.worker.mjs';
      resolve(reader);
    };
    script.onerror = () => {
      loading = undefined;
      reject(new Error('The PDF reader could not be loaded.'));
    };
    document.head.append(script);
  });
  return loading;
}

/** Opens a PDF. Rejects for what is damaged, or locked with a password. */
export async function openPdf(content: Uint8Array<ArrayBuffer>): Promise<PDFDocumentProxy> {
  const { getDocument: open } = await loadReader();
  return open({
    // The reader takes the bytes for itself; these may be shown again.
    data: content.slice(),
    standardFontDataUrl: '/pdf-fonts/',
    isEvalSupported: false,
    enableXfa: false,
    useWasm: false,
  }).promise;
}

/** Where some words stand on a page, in units of the page with its origin at the lower left. */
export interface Match {
  readonly page: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const MOST_MATCHES = 500;

/** Every place where the words stand, page by page; case does not matter. */
export async function findInPdf(pdf: PDFDocumentProxy, words: string): Promise<Match[]> {
  const wanted = words.trim().toLowerCase();
  const matches: Match[] = [];
  if (wanted === '') return matches;
  for (let page = 1; page <= pdf.numPages && matches.length < MOST_MATCHES; page += 1) {
    const { items } = await (await pdf.getPage(page)).getTextContent();
    for (const item of items) {
      if (!('str' in item) || !item.str.toLowerCase().includes(wanted)) continue;
      const [, , , , x, y] = item.transform as readonly number[];
      matches.push({ page, x: x ?? 0, y: y ?? 0, width: item.width, height: item.height });
    }
  }
  return matches;
}
