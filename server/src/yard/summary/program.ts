import { createHash, randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** As the program is built, all of its code stands in one folder. @returns a digest of it */
const digestOf = (folder: string): string => {
  const hash = createHash('sha256');
  const code = readdirSync(folder).filter((name) => name.endsWith('.js'));
  for (const name of code.toSorted()) hash.update(readFileSync(join(folder, name)));
  return hash.digest('hex').slice(0, 16);
};

/** Which program this is, for another may find otherwise. What runs from its sources may be another at each start. */
export const program = import.meta.url.endsWith('.ts')
  ? randomUUID().slice(0, 16)
  : digestOf(fileURLToPath(new URL('.', import.meta.url)));
