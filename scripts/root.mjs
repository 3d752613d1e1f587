import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the whole project. */
export const root = dirname(dirname(fileURLToPath(import.meta.url)));
