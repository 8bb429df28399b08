import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const FOLDER = join(__dirname, '../../../docs/domain');

/** Every place of the domain documents a rule may name: `Plugs: Reach`. */
export function domainHeadings(): ReadonlySet<string> {
  const files = readdirSync(FOLDER).filter((file) => file.endsWith('.md') && file !== 'README.md');
  return new Set(
    files.flatMap((file) => {
      const lines = readFileSync(join(FOLDER, file), 'utf8').split('\n');
      const title = lines.find((line) => line.startsWith('# '))!.slice(2);
      return lines.filter((line) => line.startsWith('## ')).map((line) => `${title}: ${line.slice(3)}`);
    }),
  );
}
