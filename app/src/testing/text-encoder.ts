import { TextDecoder, TextEncoder } from 'node:util';

// Every browser has them; the page of the tests does not.
Object.assign(globalThis, { TextDecoder, TextEncoder });
