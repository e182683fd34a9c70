// Gathers the licences of what ships in the pages, from the lock file, into dist/licences-pages.txt.
import { readFileSync, writeFileSync } from 'node:fs';

const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8'));
const shipped = Object.entries(packages).filter(([path, entry]) => path !== '' && !entry.dev && !entry.optional);
const lines = shipped.map(([path, entry]) => `${path.replace(/^.*node_modules\//, '')} ${entry.version}: ${entry.license ?? 'not said'}`);
const unsaid = lines.filter((line) => line.endsWith('not said'));
if (unsaid.length > 0) throw new Error(`No licence is said for ${unsaid.join(', ')}. Look it up before it ships.`);
writeFileSync('dist/licences-pages.txt', ['What the pages of Kiver ship with, and under which licence:', '', ...[...new Set(lines)].sort(), 'Some signs are cut out of DejaVu Sans:', '', readFileSync('src/look/glyphs-LICENSE.txt', 'utf8'), ''].join('\n'));
