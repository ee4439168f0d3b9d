// What a browser loads before the first screen stands: the page, its style sheet and the scripts it names, gzipped.
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const folder = new URL('../src/web/dist/', import.meta.url);
const page = readFileSync(new URL('index.html', folder), 'utf8');
const files = ['index.html', ...[...page.matchAll(/(?:src|href)="\/(assets\/[^"]+)"/g)].map((m) => m[1])];
const size = (file) => gzipSync(readFileSync(new URL(file, folder))).length / 1024;
for (const file of files) console.log(`${file.padEnd(48)} ${size(file).toFixed(1).padStart(7)} KB gzip`);
console.log(`first load without fonts: ${files.reduce((sum, f) => sum + size(f), 0).toFixed(1)} KB gzip`);
