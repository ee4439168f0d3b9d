import { describe, expect, it } from 'vitest';
import { Marks } from './marks.svelte';

describe('marks', () => {
  it('go on and off, and a repeat without any is for the line at hand', () => {
    const marks = new Marks();
    expect(marks.targets(7)).toEqual([7]);
    marks.toggle(3);
    marks.toggle(5);
    expect(marks.targets(7)).toEqual([3, 5]);
    marks.toggle(3);
    marks.toggle(undefined);
    expect(marks.targets(7)).toEqual([5]);
    marks.toggle(5);
    expect(marks.targets(undefined)).toEqual([]);
  });
});
