import { describe, expect, it } from 'vitest';
import { cellsOf, pasted } from './fields';

describe('a paste from a spreadsheet', () => {
  it('is parted by line and tab, whatever the line ends', () => {
    expect(cellsOf('3\t8-12\r\n4\t6\r\n')).toEqual([
      ['3', '8-12'],
      ['4', '6'],
    ]);
  });

  it('is laid over the cells from where it is dropped', () => {
    const rows = [
      { exercise: 'Bench press', sets: '1', reps: '1', rest: '60 s' },
      { exercise: 'Barbell row', sets: '1' },
    ];

    expect(pasted(rows, 0, 'sets', cellsOf('3\t8-12\n4\t6'))).toEqual([
      { exercise: 'Bench press', sets: '3', reps: '8-12', rest: '60 s' },
      { exercise: 'Barbell row', sets: '4', reps: '6' },
    ]);
    expect(rows[0]?.sets).toBe('1');
  });

  it('adds the rows that are missing, on the day above', () => {
    const rows = pasted([{ day: 'Upper', exercise: 'Plank' }], 0, 'exercise', cellsOf('Plank\nCrunch'));

    expect(rows).toEqual([
      { day: 'Upper', exercise: 'Plank' },
      { day: 'Upper', exercise: 'Crunch' },
    ]);
  });

  it('drops what runs past the last column', () => {
    expect(pasted([{ note: '' }], 0, 'note', [['a', 'b', 'c']])).toEqual([{ note: 'a' }]);
  });
});
