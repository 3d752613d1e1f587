import type { getDocument, GlobalWorkerOptions, PDFDocumentProxy } from 'pdfjs-dist';
import { findInText, type Box } from './find-in-text';

/** Words on a page, in as many boxes as they take lines or pieces. */
export interface PageMatch {
  readonly page: number;
  readonly boxes: readonly Box[];
}

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

const MOST_MATCHES = 500;

/** Every place where the words stand, page by page. */
export async function findInPdf(pdf: PDFDocumentProxy, words: string): Promise<PageMatch[]> {
  const matches: PageMatch[] = [];
  if (words.trim() === '') return matches;
  for (let page = 1; page <= pdf.numPages && matches.length < MOST_MATCHES; page += 1) {
    const { items } = await (await pdf.getPage(page)).getTextContent();
    const pieces = items.flatMap((item) => ('str' in item ? [item] : []));
    matches.push(...findInText(pieces, words).map((boxes) => ({ page, boxes })));
  }
  return matches;
}
