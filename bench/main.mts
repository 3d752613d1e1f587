import { benchList } from './list.mjs';
import { benchOperations } from './operations.mjs';
import { benchSize } from './size.mjs';

await benchSize();
await benchOperations();
await benchList();
