/** Words of a browser's own line that all of them carry. */
const ofAll = new Set(['Mozilla', 'AppleWebKit', 'Gecko', 'Version', 'Mobile', 'Safari']);

/**
 * What a browser calls itself, in short: its own name with the main version, and the system that it names first. No list of browsers is
 * kept; a line that names none is shown as it is.
 */
export function deviceName(line: string): string {
  const products = [...line.matchAll(/([A-Za-z][\w.-]*)\/(\d+)[\d.]*/g)].map((m) => ({
    name: m[1] ?? '',
    version: m[2] ?? '',
  }));
  const product = products.findLast((p) => !ofAll.has(p.name)) ?? products.at(-1);
  const system = /\(([^);]+)(?:;\s*([^);]+))?/.exec(line);
  // "X11; Linux x86_64" names the window system first, "Windows NT 10.0; Win64" the system.
  const named = system?.[1] === 'X11' ? system[2] : system?.[1];
  return product ? `${product.name} ${product.version}${named ? ` on ${named.trim()}` : ''}` : line;
}
