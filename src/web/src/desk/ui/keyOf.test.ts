import { expect, it } from 'vitest';
import { keyOf } from './keyOf';

it.each([
  ['Oar row (seated)', 'oar-row-seated'],
  ['  Élan  press ', 'elan-press'],
  ['90/90 hip switch', '90-90-hip-switch'],
  ['—', ''],
])('makes a key of %j', (name, key) => expect(keyOf(name)).toBe(key));
