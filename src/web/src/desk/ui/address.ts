/** Writes what is open into the address without a step in the history, so that reload and links lead back here. */
export function showInAddress(values: Record<string, string | number | null | undefined>): void {
  const query = Object.entries(values)
    .filter(([, value]) => value)
    .map(([key, value]) => `${key}=${encodeURIComponent(String(value))}`);
  const address = query.length > 0 ? `${location.pathname}?${query.join('&')}` : location.pathname;
  if (address !== location.pathname + location.search) history.replaceState(history.state, '', address);
}
