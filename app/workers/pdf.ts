/** The PDF reader as one script of its own, loaded only when somebody opens a PDF. */
export { getDocument, GlobalWorkerOptions } from 'pdfjs-dist/legacy/build/pdf.mjs';
