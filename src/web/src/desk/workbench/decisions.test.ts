import { describe, expect, it } from 'vitest';
import type { HomeEdit, PlanCommand } from '../../shared/api/types';
import { decidedIn } from './decided';
import { Decisions } from './decisions';
import { Marks } from './marks.svelte';

function bench(takes: boolean): { decide: Decisions; marks: Marks; asked: PlanCommand[] } {
  const marks = new Marks();
  const asked: PlanCommand[] = [];
  const decide = new Decisions({
    line: undefined,
    proposal: { decided: decidedIn(), tried: () => Promise.reject(new Error('not asked')) },
    marks,
    take: (decision) => {
      asked.push(decision);
      return Promise.resolve(takes);
    },
    undo: () => Promise.resolve(),
  });
  return { decide, marks, asked };
}

const edit: HomeEdit = { line: 1, exerciseId: 'push-up', sets: 4 };

describe('decisions at the workbench', () => {
  it('an edit that was taken can be repeated on the marked lines', async () => {
    const { decide, marks, asked } = bench(true);
    await decide.edit(edit);
    marks.toggle(3);
    await decide.repeatEdit();
    expect(asked.at(-1)).toEqual({ kind: 'repeat-figures', figures: edit, lines: [3] });
  });

  it('an edit that was refused is not repeated', async () => {
    const { decide, marks, asked } = bench(false);
    await decide.edit(edit);
    marks.toggle(3);
    await decide.repeatEdit();
    expect(asked).toHaveLength(1);
    expect(marks.lastEdit).toBeNull();
  });
});
