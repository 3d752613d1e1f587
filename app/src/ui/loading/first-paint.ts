import { useEffect } from 'react';

/** Takes away what the page showed before any script had come (`public/index.html`): a view is there. */
export function useInPlaceOfFirstPaint(): void {
  useEffect(() => document.getElementById('first-paint')?.remove(), []);
}
