// Draws contact sheets of the figures with the interface's own drawing, one PNG for every 60 figures.
// node scripts/figures.mjs FIGURES.json FOLDER [dark]
import { mkdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { rolldown } from 'rolldown';

const require = createRequire(new URL('../tests/browser/package.json', import.meta.url));
const { chromium } = require('playwright');

const bundle = await rolldown({
  input: new URL('../src/web/src/shared/figures/drawing.ts', import.meta.url).pathname,
});
const written = `${tmpdir()}/ingegno-drawing-${process.pid}.mjs`;
await bundle.write({ file: written });
const { arrow, boxOf, ghost, ground, lookOf, picture } = await import(written);

const [from, to, theme = 'light'] = process.argv.slice(2);
const figures = JSON.parse(readFileSync(from, 'utf8'));
mkdirSync(to, { recursive: true });

const style = readFileSync(new URL('../src/web/src/shared/figures/figure.css', import.meta.url), 'utf8');
const path = (s) => `<path d="${s.d}" class="${s.ink}"${s.width ? ` style="stroke-width:${s.width}"` : ''}/>`;

function svg(drawing, share, withGhost) {
  const look = lookOf(drawing);
  const box = boxOf(drawing, look);
  const shapes = [
    ground(box),
    ...(withGhost ? ghost(drawing, look) : []),
    ...picture(drawing, share, look, []),
    ...(withGhost ? arrow(drawing, look) : []),
  ];
  return `<svg class="figure" viewBox="${box.x} ${box.y} ${box.width} ${box.height}" width="100" height="100">${shapes.map(path).join('')}</svg>`;
}

const cell = (
  f,
) => `<div class="cell">${f.drawing.frames.length > 1 ? svg(f.drawing, 0, false) : ''}${svg(f.drawing, 1, f.drawing.frames.length > 1)}
<p><b>${f.name}</b> ${f.id.includes('/') ? f.id.split('/')[1] : ''}</p>${f.faults.map((t) => `<p class="fault">${t}</p>`).join('')}</div>`;

const page = (list) => `<html class="${theme}"><style>
body{margin:6px;font:11px sans-serif;background:${theme === 'dark' ? '#1b2730' : '#fcf9f2'};color:${theme === 'dark' ? '#ece6d8' : '#1c2a33'};display:grid;grid-template-columns:repeat(6,1fr);gap:3px;grid-auto-rows:max-content}
html{--color-base-100:${theme === 'dark' ? '#1b2730' : '#fcf9f2'};--color-base-content:${theme === 'dark' ? '#ece6d8' : '#1c2a33'};--color-primary:${theme === 'dark' ? '#7cc4b2' : '#2c6b5e'};--color-secondary:${theme === 'dark' ? '#e59a6c' : '#ae5427'};--color-base-300:${theme === 'dark' ? '#3b4b57' : '#d9cfba'};--color-accent:${theme === 'dark' ? '#d8b576' : '#7a5c2e'}}
.cell{border:1px solid #ccc4;padding:2px}.cell p{margin:0}.fault{color:#b00;font-size:9px} ${style}</style>${list.map(cell).join('')}</html>`;

const browser = await chromium.launch({
  executablePath: process.env.INGEGNO_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox'],
});
const tab = await browser.newPage({ viewport: { width: 1320, height: 1100 } });
const perSheet = Number(process.env.INGEGNO_PER_SHEET ?? 60);
for (let i = 0; i < figures.length; i += perSheet) {
  await tab.setContent(page(figures.slice(i, i + perSheet)));
  await tab.screenshot({
    path: `${to}/sheet-${String(i / perSheet + 1).padStart(2, '0')}.png`,
    fullPage: true,
  });
}
await browser.close();
console.log(`${Math.ceil(figures.length / perSheet)} sheets in ${to}`);
