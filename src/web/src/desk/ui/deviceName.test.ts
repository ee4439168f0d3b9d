import { describe, expect, it } from 'vitest';
import { deviceName } from './deviceName';

describe('the name of a device', () => {
  it.each([
    [
      'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Rower/150.0.0.0 Safari/537.36',
      'Rower 150 on Linux x86_64',
    ],
    [
      'Mozilla/5.0 (Phone 14; CPU OS 17_2) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.2 Mobile/15E148 Safari/604.1',
      'Safari 604 on Phone 14',
    ],
    ['Mozilla/5.0 (Desk NT 10.0; Win64) Gecko/20100101 Scull/121.0', 'Scull 121 on Desk NT 10.0'],
    ['curl/8.5.0', 'curl 8'],
    ['no browser', 'no browser'],
    ['', ''],
  ])('%s', (line, name) => {
    expect(deviceName(line)).toBe(name);
  });
});
