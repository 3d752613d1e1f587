import { benchList } from './list.mjs';
import { benchOperations } from './operations.mjs';
import { benchSize } from './size.mjs';

const benches = { size: benchSize, operations: benchOperations, list: benchList };
const wanted = process.argv.slice(2);
for (const [name, bench] of Object.entries(benches)) {
  if (wanted.length === 0 || wanted.includes(name)) await bench();
}
